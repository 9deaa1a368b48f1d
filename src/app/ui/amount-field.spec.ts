import { ChangeDetectionStrategy, Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { LIMITS } from '../../core/record/limits';
import { CastingStorage } from '../state/casting-storage';
import { Units } from '../state/units';
import { Subject } from 'rxjs';
import { AmountField, type TypedAmount } from './amount-field';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField],
  template: `<ks-amount-field
    label="Powder"
    field="f"
    [value]="value()"
    dimension="mass"
    [limits]="limits"
    (amount)="take($event)"
  />`,
})
class Host {
  readonly value = signal(0.012);
  readonly limits = [LIMITS.fillMassKg, LIMITS.fillVolumeM3];
  readonly taken: TypedAmount[] = [];
  take(amount: TypedAmount): void {
    this.taken.push(amount);
    this.value.set(amount.value);
  }
}

describe('AmountField', () => {
  let fixture: ComponentFixture<Host>;
  let box: HTMLInputElement;
  const type = async (text: string): Promise<void> => {
    box.value = text;
    box.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };

  beforeEach(async () => {
    sessionStorage.clear();
    // Storage is not what is tried here; the field only listens for undo through the store.
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), { provide: CastingStorage, useValue: { changes: new Subject() } }],
    });
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    box = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
  });

  it('shows the value in the reader’s units and changes with them', async () => {
    expect(box.value).toBe('12 g');
    TestBed.inject(Units).use('us');
    await fixture.whenStable();
    expect(box.value).toBe('0.4233 oz');
    TestBed.inject(Units).use('metric');
  });

  it('gives out what it understands, in SI and with its kind', async () => {
    await type('2 tbsp');
    await type('0.5oz');
    expect(fixture.componentInstance.taken.map((t) => t.dimension)).toEqual(['volume', 'mass']);
    expect(fixture.componentInstance.taken[1].value).toBeCloseTo(0.01417476, 8);
  });

  it('keeps and marks what it cannot read, and gives nothing out', async () => {
    await type('a handful');
    expect(fixture.componentInstance.taken).toEqual([]);
    expect(box.value).toBe('a handful');
    expect(box.getAttribute('aria-invalid')).toBe('true');
    expect((fixture.nativeElement as HTMLElement).textContent).toContain(
      'No amount in that. Type 0 to 3000 g, or 0 to 2000 mL.',
    );
    await type('14 g');
    expect(box.getAttribute('aria-invalid')).toBeNull();
  });

  it('does not write over what is being typed', async () => {
    box.dispatchEvent(new Event('focus'));
    await type('13');
    fixture.componentInstance.value.set(0.04);
    await fixture.whenStable();
    expect(box.value).toBe('13');
    box.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(box.value).toBe('40 g');
  });
});
