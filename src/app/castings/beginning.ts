import { Injectable, computed, inject, signal } from '@angular/core';
import { checkShape } from '../../core/cavity/check-shape';
import { draftPlan } from '../../core/plan/draft';
import { chillsOf } from '../../core/plan/makings';
import { castAs, moldByMeasures } from '../../core/edit/cast-as';
import { cavitiesFor, isOfKind, PIECE_KINDS, PIECES, type PieceKind } from '../../core/edit/piece-kinds';
import { finishPlan } from '../../core/plan/plan';
import type { Casting } from '../../core/record/casting';
import { castingKitchen, castingMold } from '../../core/record/copies';
import type { FillingKind } from '../../core/matter/filling';
import { suit } from '../../core/edit/melting';
import type { Mold, MoldCavity } from '../../core/record/mold';
import { cavityCount } from '../../core/record/mold-cavities';
import type { UnitSystem } from '../../core/quantity/units';
import { newCasting } from '../../data/demo';
import { CastingStore } from '../state/casting-store';
import { Fillings } from '../state/fillings';
import { Kitchens } from '../state/kitchens';
import { Lessons } from '../state/lessons';
import { MoldLibrary } from '../state/mold-library';
import { Orders } from '../state/orders';
import { Pantry } from '../state/pantry';
import { Sources } from '../state/sources';
import { Units } from '../state/units';
import { PIECE_NAMES } from '../wording/piece-kinds';
import { cavitySizeText, shapeProblemText } from '../wording/shapes';

/** In place of a mold of one's own. */
export const BY_MEASURES = 'new';
const MOST_COPIES = 3;

/** "Sheet of three kinds, Cup, 30 mm, 3 at once": a mold, which of its cavities, how large where its name does not say, and how many. */
function moldName(mold: Mold, cavity: MoldCavity, system: UnitSystem): string {
  const size = cavitySizeText(cavity.shape, system);
  const which = mold.cavities.length > 1 && mold.composition.kind === 'single' ? `, ${cavity.name}` : '';
  return `${mold.name}${which}${mold.name.includes(size) ? '' : `, ${size}`}, ${cavityCount(cavity) * mold.atHand} at once`;
}

/** What a new casting is being begun as: five choices, each with a sensible one to start from, and the casting they make. */
@Injectable()
export class Beginning {
  private readonly store = inject(CastingStore);
  private readonly pantry = inject(Pantry);
  private readonly sources = inject(Sources);
  private readonly fillings = inject(Fillings);
  private readonly kitchens = inject(Kitchens);
  private readonly lessons = inject(Lessons);
  private readonly library = inject(MoldLibrary);
  private readonly units = inject(Units);
  private readonly now = new Date();

  readonly kind = signal<PieceKind | undefined>(undefined);
  readonly pieces = signal(12);
  readonly due = signal(newCasting('', '', this.now).due);
  private readonly wantedMold = signal('');
  private readonly wantedChocolate = signal('');
  private readonly measured = signal<Readonly<Partial<Record<PieceKind, readonly [number, number]>>>>({});

  /** Castings of the kind that there are, the newest first: one of them may be copied instead. */
  readonly alike = computed(() => {
    const kind = this.kind();
    const found = kind ? this.store.castings().filter((casting) => isOfKind(kind, casting)) : [];
    return [...found].sort((a, b) => b.createdAt.localeCompare(a.createdAt)).slice(0, MOST_COPIES);
  });

  /** The molds it can be cast in, by kind of cavity, and a new one by its measures last. */
  readonly molds = computed(() => {
    const kind = this.kind();
    const system = this.units.system();
    const own = kind
      ? this.library.molds().flatMap((mold) =>
          cavitiesFor(kind, mold).map((cavity) => ({
            value: `${mold.id} ${cavity.id}`,
            name: moldName(mold, cavity, system),
          })),
        )
      : [];
    return [...own, { value: BY_MEASURES, name: 'A new one, by two measures' }];
  });
  readonly moldKey = computed(
    () => this.molds().find(({ value }) => value === this.wantedMold())?.value ?? this.molds()[0].value,
  );

  /** The two measures of a new mold. */
  readonly measures = computed(() => {
    const kind = this.kind();
    if (!kind || this.moldKey() !== BY_MEASURES) return undefined;
    const { measures } = PIECES[kind];
    const values = this.measured()[kind] ?? [measures[0].usualM, measures[1].usualM];
    return measures.map(({ limit }, i) => ({ limit, name: PIECE_NAMES[kind].measures[i], valueM: values[i] }));
  });

  private readonly picked = computed((): { readonly mold: Mold; readonly cavityId: string } | undefined => {
    const kind = this.kind();
    const measures = this.measures();
    if (kind && measures) {
      const name = `New mold for ${PIECE_NAMES[kind].casting.toLowerCase()}`;
      const mold = moldByMeasures(kind, BY_MEASURES, name, measures[0].valueM, measures[1].valueM);
      return { mold, cavityId: mold.cavities[0].id };
    }
    const [moldId, cavityId] = this.moldKey().split(' ');
    const mold = this.library.byId().get(moldId);
    return mold && { mold, cavityId };
  });

  /** Why the two measures make no cavity; empty where they do. */
  readonly shapeWrong = computed(() => {
    const problem = this.picked()
      ?.mold.cavities.map(({ shape }) => checkShape(shape))
      .find((one) => one !== undefined);
    return problem ? `${shapeProblemText(problem)} Change one of the two.` : '';
  });

  /** Chocolates and tints of the pantry. */
  readonly chocolates = computed(() => this.sources.options().filter(({ value }) => this.pantry.byId().has(value)));
  /** The one chosen, else the one there is most of. */
  readonly chocolate = computed(() => {
    const options = this.chocolates();
    const stocked = [...this.pantry.chocolates()].sort((a, b) => b.stockKg - a.stockKg)[0]?.id;
    const wanted = [this.wantedChocolate(), stocked].find((id) => options.some(({ value }) => value === id));
    return wanted ?? options[0]?.value ?? '';
  });

  /** The casting that is begun; undefined until it is known what it is to be. */
  readonly casting = computed((): Casting | undefined => {
    const kind = this.kind();
    const picked = this.picked();
    if (!kind || !picked || this.shapeWrong()) return undefined;
    const casting = newCasting(
      'beginning',
      PIECE_NAMES[kind].casting,
      this.now,
      castingKitchen({ ...this.kitchens.kitchen(), learned: this.lessons.learned() }),
    );
    Object.assign(casting, { pieces: this.pieces(), due: { ...this.due() } });
    if (this.chocolate()) {
      casting.chocolates = [];
      casting.fillings = [];
      const source = this.sources.take(casting, this.chocolate());
      if (!source) return undefined;
      casting.melts[0].source = source;
      suit(casting, casting.melts[0].id);
    }
    castAs(casting, kind, castingMold(picked.mold), picked.cavityId, (kinds) => this.filled(casting, kinds));
    return casting;
  });

  /** What it comes to, by the first estimate. */
  readonly plan = inject(Orders).ordering(
    computed(() => {
      const casting = this.casting();
      if (!casting) return undefined;
      const draft = draftPlan(casting);
      return finishPlan(draft, chillsOf(draft));
    }),
  );

  /** Begins with a mold, as the likeliest kind that is cast in it. */
  withMold(mold: Mold): void {
    const kind = PIECE_KINDS.find((one) => cavitiesFor(one, mold).length > 0);
    if (!kind) return;
    this.kind.set(kind);
    this.wantedMold.set(`${mold.id} ${cavitiesFor(kind, mold)[0].id}`);
  }

  chooseMold(key: string): void {
    this.wantedMold.set(key);
  }

  chooseChocolate(id: string): void {
    this.wantedChocolate.set(id);
  }

  measure(index: number, valueM: number): void {
    const kind = this.kind();
    const measures = this.measures();
    if (!kind || !measures) return;
    const [a, b] = measures.map((measure, i) => (i === index ? valueM : measure.valueM));
    this.measured.update((all) => ({ ...all, [kind]: [a, b] }));
  }

  /** The first filling of the pantry of the likeliest kind, brought in. */
  private filled(casting: Casting, kinds: readonly FillingKind[]): string | undefined {
    const found = kinds
      .map((kind) => this.pantry.fillings().find((filling) => filling.kind === kind))
      .find((filling) => filling !== undefined);
    return found && this.fillings.take(casting, found.id) ? found.id : undefined;
  }
}
