import type { AskedRow } from '../../data/generations.ts';
import type { RunState, TextInHand } from './text-run.ts';

/** A text out of the history as a run that has ended: it can stand in a sheet again. */
export function keptRun({ id, output, asked }: AskedRow): TextInHand {
  const state: RunState = {
    text: output,
    finish: asked.finish === 'running' ? 'stopped' : asked.finish,
    wait: null,
    model: asked.model,
    problem: '',
    note: asked.note,
    misses: [],
    dropped: 0,
    again: 0,
    part: null,
    rows: [id],
  };
  return {
    key: id,
    state,
    done: Promise.resolve(),
    isRunning: false,
    subscribe: () => () => {},
    snapshot: () => state,
    stop: () => {},
  };
}
