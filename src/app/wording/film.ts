import { isTurned, isChilled } from '../../core/record/method';
import type { FilmState } from '../../core/shell/film-state';
import type { ShellFrame } from '../../core/shell/recording';
import type { Coat } from '../../core/record/casting';
import { PLACE_NAMES, WAY_UP_NAMES } from './names';

/** What chocolate does at each stage of setting. */
export const FILM_STATE_NAMES: Readonly<Record<FilmState, string>> = {
  runs: 'runs',
  thickens: 'thickens',
  holds: 'runs no more',
  set: 'set to the touch',
};

/** What happens in a picture of the film. */
export function phaseText(
  { coat, phase, place }: Pick<ShellFrame, 'coat' | 'phase' | 'place'>,
  { method, wayUp, standsIn }: Pick<Coat, 'method' | 'wayUp' | 'standsIn'>,
): string {
  const which = `Coat ${coat + 1}`;
  const held = isTurned(method) ? 'turned' : WAY_UP_NAMES[wayUp];
  switch (phase) {
    case 'dwell':
      return `${which}: stands full${isChilled(method) ? `, ${PLACE_NAMES[standsIn]}` : ''}`;
    case 'drain':
      return `${which}: tipped out, rocked and tapped`;
    case 'spread':
      return `${which}: spread over the wall`;
    case 'rest':
      return `${which}: ${isTurned(method) ? 'closed and turned' : `set down ${held}`}, in the room`;
    case 'set':
      return `${which}: ${PLACE_NAMES[place]}, ${held}`;
  }
}

/** How much faster than life it is shown, in round figures. */
export function speedText(times: number): string {
  if (times < 1.5) return 'as fast as in life';
  const unit = 10 ** Math.floor(Math.log10(times));
  const round = times < 10 ? Math.round(times) : Math.round(times / unit) * unit;
  return `${round} times faster than in life`;
}

/** A time within the film. */
export function clockText(seconds: number): string {
  const whole = Math.round(seconds);
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)} min ${String(whole % 60).padStart(2, '0')} s`;
}
