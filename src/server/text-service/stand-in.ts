import { setTimeout as wait } from 'node:timers/promises';
import {
  compose,
  inPieces,
  type TextEvent,
  type TextRequest,
  type TextService,
} from '../../core/writing/index.ts';

/** The text service without a model: composes by rule and extraction, and sends it in small pieces, so many milliseconds apart. */
export const standIn = (pace: number): TextService => ({
  async *generate({ compose: order }: TextRequest, { signal }): AsyncGenerator<TextEvent> {
    const { text, note } = compose(order);
    const end = (finish: 'done' | 'stopped'): TextEvent => ({
      kind: 'end',
      finish,
      model: '',
      problem: '',
      note,
      usage: null,
    });
    for (const piece of inPieces(text)) {
      if (signal.aborted) {
        yield end('stopped');
        return;
      }
      yield { kind: 'piece', text: piece };
      if (pace > 0) await wait(pace, undefined, { signal }).catch(() => {});
    }
    yield text === ''
      ? { kind: 'end', finish: 'failed', model: '', problem: note, note: '', usage: null }
      : end(signal.aborted ? 'stopped' : 'done');
  },
});
