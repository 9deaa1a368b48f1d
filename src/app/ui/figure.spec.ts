import { TestBed } from '@angular/core/testing';
import { answer } from '../../core/quantity/answer';
import { WorkingPanel } from '../state/working-panel';
import { Figure } from './figure';

const rim = (metres: number) => answer(metres, 'length', 'coat.spread');

describe('a figure', () => {
  it('has its working follow it while that is open, and not when it is closed', async () => {
    const fixture = TestBed.createComponent(Figure);
    const panel = TestBed.inject(WorkingPanel);
    fixture.componentRef.setInput('answer', rim(0.0026));
    await fixture.whenStable();
    (fixture.nativeElement as HTMLElement).querySelector('button')?.click();
    expect(panel.answer()?.value).toBe(0.0026);
    fixture.componentRef.setInput('answer', rim(0.0028));
    await fixture.whenStable();
    expect(panel.answer()?.value).toBe(0.0028);
    panel.close();
    expect(panel.answer()).toBeUndefined();
  });

  it('leaves its last working open when it is gone from the page', async () => {
    const fixture = TestBed.createComponent(Figure);
    fixture.componentRef.setInput('answer', rim(0.0026));
    await fixture.whenStable();
    (fixture.nativeElement as HTMLElement).querySelector('button')?.click();
    fixture.destroy();
    expect(TestBed.inject(WorkingPanel).answer()?.value).toBe(0.0026);
  });
});
