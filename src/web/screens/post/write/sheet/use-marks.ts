import { useEffect, useRef } from 'react';
import type { ScoreReport } from '../../../../../core/criteria/index.ts';
import { useAppSelector } from '../../../../state/store.ts';
import type { PieceCheck } from '../../../../workers/writing.ts';
import type { BodyEditor } from './body-editor.ts';
import { type MarkedPlace, NOTES_META } from './notes-plugin.ts';

/** Marks uses of the keyword, the places of notes, and blocks that are left over, unedited or waiting, anew with each report. */
export function useMarks(
  body: BodyEditor,
  inHand: string | null,
  marked: {
    leftOver: readonly string[];
    unedited: readonly string[];
    waiting: ReadonlyMap<string, string>;
    checks: ReadonlyMap<string, PieceCheck>;
  },
): void {
  const last = useRef<{ body: BodyEditor | null; drawn: string }>({ body: null, drawn: '' });
  const report = useAppSelector((state) => state.openPost.report);
  const added = useAppSelector((state) => state.view.added);
  useEffect(() => {
    const places = report ? marksOf(report as ScoreReport, inHand) : [];
    const whole = (blockId: string, look: MarkedPlace['look'], note?: string) =>
      places.push({ blockId, start: 0, end: 0, look, criterion: null, ...(note ? { note } : {}) });
    for (const blockId of marked.leftOver) whole(blockId, 'left-over');
    for (const blockId of marked.unedited) whole(blockId, 'unedited');
    for (const [blockId, note] of marked.waiting) whole(blockId, 'waiting', note);
    for (const [blockId, { unsupported, shared }] of marked.checks) {
      const check = (start: number, end: number, note: string) =>
        places.push({ blockId, start, end, look: 'check-this', criterion: null, note });
      for (const { start, end } of unsupported)
        check(start, end, 'Check this: neither the study nor the site nor the brief has it');
      for (const { start, end, page } of shared) check(start, end, `Word for word as on a page of ${page}`);
    }
    for (const { blockId, start, end, weighty } of added)
      places.push({ blockId, start, end, look: weighty ? 'added-weighty' : 'added', criterion: null });
    // Marks that are the same have moved with the text by themselves: drawing them again costs more than all else.
    const drawn = JSON.stringify(places);
    if (last.current.body === body && last.current.drawn === drawn) return;
    last.current = { body, drawn };
    const { view, state } = body.editor;
    view.dispatch(state.tr.setMeta(NOTES_META, places).setMeta('addToHistory', false));
  }, [body, report, inHand, marked, added]);
}

function marksOf(report: ScoreReport, inHand: string | null): MarkedPlace[] {
  const places: MarkedPlace[] = report.uses.map(({ blockId, start, end, kind }) => ({
    blockId,
    start,
    end,
    look: kind === 'exact' ? 'use' : 'use-variant',
    criterion: null,
  }));
  for (const { id, advice, evidence } of report.criteria) {
    if (advice === null) continue;
    for (const { blockId, start, end } of evidence) {
      places.push({ blockId, start, end, look: 'noted', criterion: id });
      if (id === inHand) places.push({ blockId, start, end, look: 'in-hand', criterion: id });
    }
  }
  return places;
}
