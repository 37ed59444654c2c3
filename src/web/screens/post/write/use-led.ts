import { useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { ToFill } from '../../../../core/release/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { leadTo } from './margin/notes/lead-to.ts';
import type { BodyEditor } from './sheet/body-editor.ts';

/** What somebody was led here for: words of the text, a note, or a field by its place. */
interface Led {
  field: 'title' | 'slug' | null;
  criterion: string | null;
  place: ToFill | null;
}

/** Milliseconds in which the sheet has put itself in order: it sets its own caret first. */
const SETTLED = 80;

/** Brings whoever was led here from another step to the words, the note's place or the field, once. */
export function useLed(body: BodyEditor, postId: string): void {
  const { state, key } = useLocation();
  const navigate = useNavigate();
  const report = useAppSelector((store) => store.openPost.report);
  const done = useRef('');
  const led = (state as { led?: Led } | null)?.led;
  useEffect(() => {
    if (!led || !report || done.current === key) return;
    done.current = key;
    const timer = setTimeout(() => {
      const note = report.criteria.find(({ id }) => id === led.criterion);
      if (led.place) body.select(led.place);
      else if (note) leadTo(note, 0, { body, postId, navigate });
      else {
        const at = `[data-place="${led.field}"]`;
        const field =
          led.field &&
          document.querySelector<HTMLElement>(`:is(input, textarea)${at}, ${at} :is(input, textarea)`);
        if (field) field.focus();
        else body.editor.chain().focus('start').scrollIntoView().run();
      }
    }, SETTLED);
    return () => {
      clearTimeout(timer);
      done.current = '';
    };
  }, [led, report, key, body, postId, navigate]);
}
