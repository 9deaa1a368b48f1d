import type { Casting } from '../../core/record/casting';
import { History, type Change } from './history';

const states = Array.from({ length: 4 }, (_, pieces) => ({ id: 'a', pieces: pieces + 1 }) as Casting);
const edit = (label: string, at: number, gesture?: string, [before, after] = [states[0], states[1]]): Change => ({
  kind: 'edit',
  before,
  after,
  label,
  at,
  gesture,
});

describe('History', () => {
  it('gives changes back in reverse, and again', () => {
    const history = new History();
    history.push(edit('one', 1));
    history.push(edit('two', 5000));
    expect(history.undoLabel).toBe('two');
    expect(history.undo()?.label).toBe('two');
    expect(history.redoLabel).toBe('two');
    expect(history.redo()?.label).toBe('two');
    expect(history.undo()?.label).toBe('two');
    expect(history.undo()?.label).toBe('one');
    expect(history.undo()).toBeUndefined();
    expect(history.canRedo).toBe(true);
  });

  it('takes the moves of one gesture as one step, from before the first to after the last', () => {
    const history = new History();
    history.push(edit('drag', 100, 'g1', [states[0], states[1]]));
    history.push(edit('drag', 200, 'g1', [states[1], states[2]]));
    expect(history.undo()).toMatchObject({ before: states[0], after: states[2] });
    expect(history.canUndo).toBe(false);
  });

  it('keeps gestures apart by name, a pause, and a change from elsewhere between them', () => {
    const history = new History();
    history.push(edit('a', 100, 'g1', [states[0], states[1]]));
    history.push(edit('b', 200, 'g2', [states[1], states[2]]));
    history.push(edit('c', 300, 'g2', [states[3], states[0]]));
    history.push(edit('d', 9000, 'g2', [states[0], states[1]]));
    for (const label of ['d', 'c', 'b', 'a']) expect(history.undo()?.label).toBe(label);
  });

  it('drops redo at a new change, and at one from another tab', () => {
    const history = new History();
    history.push(edit('one', 1));
    history.undo();
    history.push(edit('two', 9000));
    expect(history.canRedo).toBe(false);
    history.undo();
    history.clearRedo();
    expect(history.canRedo).toBe(false);
  });

  it('remembers a hundred steps', () => {
    const history = new History();
    for (let k = 0; k < 130; k++) history.push(edit(String(k), k * 5000));
    let steps = 0;
    while (history.undo()) steps++;
    expect(steps).toBe(100);
  });
});
