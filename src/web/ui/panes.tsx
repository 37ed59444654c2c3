import type { CSSProperties, ReactNode } from 'react';
import { Group, Panel, Separator, useDefaultLayout } from 'react-resizable-panels';
import { remember, remembered } from './remembered.ts';
import { useMedia } from './use-media.ts';

const storage = { getItem: remembered, setItem: remember };

/** Both panes grow with what stands in them, and the page around scrolls both. */
const SHARED: Record<'group' | 'pane', CSSProperties> = {
  group: { height: 'auto', minHeight: '100%', overflow: 'visible' },
  pane: { overflow: 'visible', maxHeight: 'none' },
};

/**
 * A work surface with a column beside it. The line between them is pulled, or moved by arrow keys, and stands where it
 * was left when the screen is opened again. Where there is no room beside, the column stands below.
 */
export function Panes({
  name,
  main,
  side,
  sideName,
  sideWidth = 340,
  least = 260,
  mainLeast = 360,
  mainMost,
  below,
  together = false,
}: {
  /** Under which the widths are kept. */
  name: string;
  main: ReactNode;
  /** The column; null while nothing stands beside. */
  side: ReactNode | null;
  /** What the column is, for readers of the line between. */
  sideName: string;
  /** Pixels of the column at first. */
  sideWidth?: number;
  /** Pixels that the column keeps at least. */
  least?: number;
  /** Pixels that the surface keeps at least. */
  mainLeast?: number;
  /** Pixels that the surface takes at most, where it has a measure of its own; the column gets what is left. */
  mainMost?: number;
  /** Pixels of the window up to which the column stands below. */
  below: number;
  /** Both are scrolled as one by what is around them. */
  together?: boolean;
}) {
  const stacked = useMedia(`(max-width: ${below}px)`);
  const { defaultLayout, onLayoutChanged } = useDefaultLayout({
    id: `dune-sparrow-panes-${name}`,
    panelIds: side === null ? ['main'] : ['main', 'side'],
    onlySaveAfterUserInteractions: true,
    storage,
  });
  const style = together ? SHARED : { group: {}, pane: {} };
  // Below one another the panes are the same ones: what was typed in them must outlive a window that is made narrow,
  // or a page that is printed. Each fills a screen at most, as a table of a hundred thousand rows must have an end.
  const stack = `flex-col! [&>[data-panel]]:shrink-0! [&>[data-panel]]:basis-auto! ${
    side === null ? '' : '[&>[data-panel]]:grow-0!'
  } ${together ? '' : 'overflow-auto!'}`;
  return (
    <Group
      id={`panes-${name}`}
      orientation="horizontal"
      defaultLayout={defaultLayout}
      onLayoutChanged={onLayoutChanged}
      style={style.group}
      disabled={stacked}
      className={`${together ? '' : 'min-h-0 flex-1'} ${stacked ? stack : ''} print:block! print:h-auto! print:overflow-visible!`}
    >
      <Panel
        id="main"
        minSize={mainLeast}
        {...(mainMost && side !== null
          ? { defaultSize: mainMost, maxSize: mainMost, groupResizeBehavior: 'preserve-pixel-size' }
          : {})}
        style={style.pane}
        className="flex flex-col print:max-h-none! print:overflow-visible!"
      >
        {main}
      </Panel>
      {side !== null && (
        <>
          <Separator
            aria-label={`Width of ${sideName}`}
            className={`bg-line outline-offset-0 print:hidden hover:bg-soft data-[separator=active]:bg-marram ${stacked ? 'hidden' : 'w-px'}`}
          />
          <Panel
            id="side"
            minSize={least}
            {...(mainMost ? {} : { defaultSize: sideWidth, groupResizeBehavior: 'preserve-pixel-size' })}
            style={style.pane}
            className={`flex flex-col print:max-h-none! print:overflow-visible! ${stacked ? 'border-t' : ''}`}
          >
            {side}
          </Panel>
        </>
      )}
    </Group>
  );
}
