import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { DragHandle, type HandleMove } from './drag-handle';

/** A frame, and the task after it. */
const frame = (): Promise<void> => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));

describe('DragHandle', () => {
  let handle: HTMLElement;
  let moves: HandleMove[];
  const point = (type: string, x: number, y: number, button = 0): void => {
    handle.dispatchEvent(
      Object.assign(new MouseEvent(type, { clientX: x, clientY: y, button, bubbles: true, cancelable: true }), {
        pointerId: 1,
      }),
    );
  };

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const fixture = TestBed.createComponent(DragHandle);
    fixture.componentRef.setInput('label', 'Fill line');
    fixture.componentRef.setInput('now', 12);
    fixture.componentRef.setInput('spoken', '12 mm');
    moves = [];
    fixture.componentInstance.moved.subscribe((move) => moves.push(move));
    await fixture.whenStable();
    handle = fixture.nativeElement as HTMLElement;
    handle.setPointerCapture = () => undefined;
    handle.releasePointerCapture = () => undefined;
  });

  it('is a slider to those who do not see it', () => {
    expect(handle.getAttribute('role')).toBe('slider');
    expect(handle.getAttribute('aria-label')).toBe('Fill line');
    expect(handle.getAttribute('aria-valuenow')).toBe('12');
    expect(handle.getAttribute('aria-valuetext')).toBe('12 mm');
    expect(handle.getAttribute('aria-orientation')).toBe('vertical');
  });

  it('moves by what the pointer moved since it was taken, the last move of a frame', async () => {
    point('pointerdown', 100, 50);
    point('pointermove', 101, 52);
    point('pointermove', 103, 58);
    expect(moves).toEqual([]);
    await frame();
    expect(moves).toMatchObject([{ dx: 3, dy: 8, start: true }]);
  });

  it('moves in every other frame, and loses no move in between', async () => {
    point('pointerdown', 0, 0);
    point('pointermove', 0, 1);
    await frame();
    point('pointermove', 0, 2);
    await frame();
    point('pointermove', 0, 3);
    await frame();
    await frame();
    expect(moves.map((move) => move.dy)).toEqual([1, 3]);
    point('pointermove', 0, 9);
    point('pointerup', 0, 9);
    expect(moves.at(-1)).toMatchObject({ dy: 9, start: false });
  });

  it('gives each drag a gesture of its own, so that each is undone by itself', async () => {
    for (const y of [5, 6]) {
      point('pointerdown', 0, 0);
      point('pointermove', 0, y);
      await frame();
      point('pointerup', 0, y);
      await frame();
      await frame();
    }
    expect(moves).toHaveLength(2);
    expect(moves[0].gesture).not.toBe(moves[1].gesture);
    expect(moves.every((move) => move.start)).toBe(true);
  });

  it('stays where it is for another button, or with nothing taken', async () => {
    point('pointerdown', 0, 0, 2);
    point('pointermove', 0, 30);
    await frame();
    expect(moves).toEqual([]);
  });

  it('moves by steps with the arrow keys, further with the page keys, and leaves other keys alone', () => {
    const press = (key: string): boolean =>
      handle.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    for (const key of ['ArrowUp', 'ArrowRight', 'ArrowDown', 'ArrowLeft', 'PageUp', 'PageDown'])
      expect(press(key)).toBe(false);
    expect(moves.map((move) => move.step)).toEqual([1, 1, -1, -1, 10, -10]);
    expect(press('a')).toBe(true);
    expect(moves).toHaveLength(6);
  });
});
