import { type NodeViewProps, NodeViewWrapper } from '@tiptap/react';
import { CodeXml } from 'lucide-react';

/** Markup that is kept as it came: named, not run. */
export function KeptView({ node, selected }: NodeViewProps) {
  const { html } = node.attrs as { html: string };
  return (
    <NodeViewWrapper
      className={`flex items-center gap-2 rounded-md border border-dashed bg-paper px-3 py-2 font-sans text-[13px] text-soft ${selected ? 'outline-2 outline-sea' : ''}`}
      contentEditable={false}
    >
      <CodeXml size={15} className="shrink-0" aria-hidden />
      <span className="shrink-0">Kept as it is:</span>
      <code className="truncate">{html}</code>
    </NodeViewWrapper>
  );
}
