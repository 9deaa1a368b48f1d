/** A pointer that moves less is a click, px. */
const DRAG_PX = 5;

/**
 * Follows a pointer from where it went down.
 * @param moved how far it has been dragged across, px; not told before it is more than a click
 * @param ended how far at last; undefined where it was a click, or was broken off
 */
export function followPointer(
  { clientX: from }: Pick<PointerEvent, 'clientX'>,
  moved: (by: number) => void,
  ended: (by: number | undefined) => void,
): void {
  let drags = false;
  const move = ({ clientX }: PointerEvent): void => {
    drags ||= Math.abs(clientX - from) >= DRAG_PX;
    if (drags) moved(clientX - from);
  };
  const end = ({ clientX, type }: PointerEvent): void => {
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', end);
    window.removeEventListener('pointercancel', end);
    ended(drags && type === 'pointerup' ? clientX - from : undefined);
  };
  window.addEventListener('pointermove', move);
  window.addEventListener('pointerup', end);
  window.addEventListener('pointercancel', end);
}
