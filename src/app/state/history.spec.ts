import { History, type Change } from './history';

const edit = (label: string, at: number, gesture?: string, castingId = 'a'): Change => ({
  kind: 'edit', castingId, label, at, gesture,
  forward: [{ op: 'replace', path: ['pieces'], value: at }], back: [{ op: 'replace', path: ['pieces'], value: at - 1 }],
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

  it('takes the moves of one gesture as one step, whose way back begins with the last', () => {
    const history = new History();
    history.push(edit('drag', 100, 'g1'));
    history.push(edit('drag', 200, 'g1'));
    const change = history.undo();
    expect(change?.kind === 'edit' && change.back.map((patch) => patch.value)).toEqual([199, 99]);
    expect(change?.kind === 'edit' && change.forward.map((patch) => patch.value)).toEqual([100, 200]);
    expect(history.canUndo).toBe(false);
  });

  it('keeps gestures apart by name, casting and a pause', () => {
    const history = new History();
    history.push(edit('a', 100, 'g1'));
    history.push(edit('b', 200, 'g2'));
    history.push(edit('c', 300, 'g2', 'other'));
    history.push(edit('d', 9000, 'g2', 'other'));
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
