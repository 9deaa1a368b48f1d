import { TestBed } from '@angular/core/testing';
import { openDemo } from '../../testing/bench';
import { MomentField } from './moment-field';

describe('a moment', () => {
  it('is read when the field is left, even where the browser tells of no change', async () => {
    await openDemo();
    const fixture = TestBed.createComponent(MomentField);
    fixture.componentRef.setInput('label', 'Best before');
    fixture.componentRef.setInput('value', '');
    fixture.componentRef.setInput('withTime', false);
    const taken: string[] = [];
    fixture.componentInstance.moment.subscribe((value) => taken.push(value));
    await fixture.whenStable();
    const box = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
    box.dispatchEvent(new Event('focus'));
    box.value = '30/6/27';
    box.dispatchEvent(new Event('input'));
    box.dispatchEvent(new Event('blur'));
    expect(taken).toEqual(['2027-06-30']);
  });

  it('is written out when the field is left before the page is drawn again, though it is the same day', async () => {
    await openDemo();
    const fixture = TestBed.createComponent(MomentField);
    fixture.componentRef.setInput('label', 'Best before');
    fixture.componentRef.setInput('value', '2027-06-30');
    fixture.componentRef.setInput('withTime', false);
    await fixture.whenStable();
    const box = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
    expect(box.value).toBe('30 Jun 2027');
    box.dispatchEvent(new Event('focus'));
    box.value = '30/6/27';
    box.dispatchEvent(new Event('input'));
    box.dispatchEvent(new Event('change'));
    box.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(box.value).toBe('30 Jun 2027');
  });

  it('is emptied when that is typed, and stays so once the page has been told', async () => {
    await openDemo();
    const fixture = TestBed.createComponent(MomentField);
    fixture.componentRef.setInput('label', 'Best before');
    fixture.componentRef.setInput('value', '2027-06-30');
    fixture.componentRef.setInput('withTime', false);
    // Its place on the page is told a little later, as it is drawn.
    fixture.componentInstance.moment.subscribe((value) =>
      queueMicrotask(() => fixture.componentRef.setInput('value', value)),
    );
    await fixture.whenStable();
    const box = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
    box.dispatchEvent(new Event('focus'));
    box.value = '';
    box.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    box.dispatchEvent(new Event('change'));
    box.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(box.value).toBe('');
  });
});
