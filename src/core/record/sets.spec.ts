import { ownSecondsOf, placeOf, restsOf } from './sets';
import { restFirst, setIn, stayFor } from '../edit/sets';
import type { Coat } from './casting';

describe('where a coat sets', () => {
  it('is its last place; those before are rests of known length', () => {
    const coat: Pick<Coat, 'sets'> = { sets: [{ place: 'room', seconds: 1200 }, { place: 'fridge' }] };
    expect(placeOf(coat)).toBe('fridge');
    expect(restsOf(coat)).toEqual([{ place: 'room', seconds: 1200 }]);
    expect(ownSecondsOf(coat)).toBeUndefined();
  });

  it('is moved, rested before and stayed at without one undoing the other', () => {
    const coat: Pick<Coat, 'sets'> = { sets: [{ place: 'fridge' }] };
    restFirst(coat, 900);
    stayFor(coat, 600);
    expect(coat.sets).toEqual([
      { place: 'room', seconds: 900 },
      { place: 'fridge', seconds: 600 },
    ]);
    setIn(coat, 'freezer');
    expect(coat.sets).toEqual([{ place: 'room', seconds: 900 }, { place: 'freezer' }]);
    restFirst(coat, 0);
    expect(coat.sets).toEqual([{ place: 'freezer' }]);
    stayFor(coat, 300);
    stayFor(coat, undefined);
    expect(coat.sets).toEqual([{ place: 'freezer' }]);
  });

  it('needs no rest in the room where it sets there anyway', () => {
    const coat: Pick<Coat, 'sets'> = { sets: [{ place: 'room', seconds: 900 }, { place: 'fridge' }] };
    setIn(coat, 'room');
    expect(coat.sets).toEqual([{ place: 'room' }]);
  });
});
