import { NO_FLOW_FROM } from '../flow/setting-rheology';
import { FILM_STATES, filmState } from './film-state';

describe('state of a film', () => {
  it('passes through all of them in order as it sets', () => {
    const passed = Array.from({ length: 101 }, (_, i) => filmState(i / 100)).filter(
      (state, i, all) => state !== all[i - 1],
    );
    expect(passed).toEqual([...FILM_STATES]);
  });

  it('runs no more from just where nothing flows', () => {
    expect(filmState(NO_FLOW_FROM - 1e-9)).toBe('thickens');
    expect(filmState(NO_FLOW_FROM)).toBe('holds');
  });
});
