import type { TextRequest, TextWay } from '../../../../../core/writing/index.ts';
import { DialogFrame } from '../../../../ui/dialog-frame.tsx';

const ROLES = {
  system: 'First, for every text',
  user: 'The request',
  assistant: 'What was answered',
} as const;

/** Exactly what is sent, and where to. */
export function SentDialog({
  request,
  way,
  onClose,
}: {
  request: Pick<TextRequest, 'messages' | 'temperature' | 'maxTokens'>;
  way: TextWay;
  onClose: () => void;
}) {
  return (
    <DialogFrame title="What is sent" onClose={onClose}>
      <p className="mb-3 text-[13px] text-soft">
        {way.kind === 'stand-in'
          ? 'To the stand-in on this machine, which composes from it by rule. Nothing leaves this machine.'
          : `To ${way.base}, model “${way.model}”: these messages, temperature ${request.temperature}, at most ${request.maxTokens.toLocaleString('en')} tokens of answer. Nothing else.`}
      </p>
      <div className="min-h-0 space-y-3 overflow-auto text-[13px]">
        {request.messages.map(({ role, content }, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: messages have nothing but their order
          <section key={at} aria-label={ROLES[role]}>
            <h3 className="mb-1 font-semibold">
              {ROLES[role]}{' '}
              <span className="font-normal text-soft">{content.length.toLocaleString('en')} characters</span>
            </h3>
            <pre className="rounded-md border bg-sheet p-3 font-sans whitespace-pre-wrap">{content}</pre>
          </section>
        ))}
      </div>
    </DialogFrame>
  );
}
