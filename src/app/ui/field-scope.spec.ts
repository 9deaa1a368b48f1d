import { ChangeDetectionStrategy, Component, signal, type Type } from '@angular/core';
import { Bench, openDemo, withDemo, closeWorkers } from '../../testing/bench';
import { KitchenPage } from '../kitchen/kitchen-page';
import { STATIONS, STATION_ROWS } from '../workspace/stations';
import { AmountField } from './amount-field';
import { FieldScope } from './field-scope';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, FieldScope],
  template: `
    @for (part of parts(); track part) {
      <section ksScope="casting">
        <div [ksScope]="part">
          <ks-amount-field [label]="part + ' at'" [value]="31" limit="workingC" />
          <ks-amount-field [label]="part + ' wants'" [value]="0.002" limit="wantedRimM" />
        </div>
      </section>
    }
  `,
})
class TwoParts {
  readonly parts = signal(['half', 'lid']);
}

const amountBoxes = <T>(bench: Bench<T>): HTMLInputElement[] => bench.all<HTMLInputElement>('ks-amount-field input');

async function typeInto<T>(bench: Bench<T>, box: HTMLInputElement, text: string): Promise<void> {
  box.value = text;
  box.dispatchEvent(new Event('input', { bubbles: true }));
  await bench.settle();
}

describe('fields in their scopes', () => {
  withDemo();

  it('keep what each could not read, alike as they are: of one part, of the other, and when they are made again', async () => {
    const first = await Bench.of(TwoParts);
    const texts = ['warm', 'thin', 'warmer', 'thinner'];
    for (const [i, text] of texts.entries()) await typeInto(first, amountBoxes(first)[i], text);
    expect(amountBoxes(first).map(({ value }) => value)).toEqual(texts);
    const again = await Bench.of(TwoParts);
    expect(amountBoxes(again).map(({ value }) => value)).toEqual(texts);
    expect(amountBoxes(again).every((box) => box.getAttribute('aria-invalid') === 'true')).toBe(true);
  });
});

/** Types what no field can read into each, and gives what is kept of it when the same is shown again. */
async function keptOf<T>(component: Type<T>): Promise<{ readonly typed: string[]; readonly kept: string[] }> {
  const bench = await Bench.of(component);
  const typed = amountBoxes(bench).map((_, i) => `nothing ${i}`);
  for (const [i, text] of typed.entries()) await typeInto(bench, amountBoxes(bench)[i], text);
  bench.page.remove();
  const again = await Bench.of(component);
  const kept = amountBoxes(again).map(({ value }) => value);
  again.page.remove();
  return { typed, kept };
}

describe('no two fields of a page share a name', () => {
  afterEach(() => {
    document.body.replaceChildren();
    closeWorkers();
  });

  it.each(['demo-bombs', 'demo-bonbons', 'demo-pears'] as const)('at any station of %s', async (id) => {
    await openDemo(id);
    for (const station of STATIONS) {
      sessionStorage.clear();
      const { typed, kept } = await keptOf((await STATION_ROWS[station].fields()) as Type<unknown>);
      expect([station, kept]).toEqual([station, typed]);
    }
  });

  it('in the kitchen', async () => {
    await openDemo();
    const { typed, kept } = await keptOf(KitchenPage);
    expect(typed.length).toBeGreaterThan(8);
    expect(kept).toEqual(typed);
  });
});
