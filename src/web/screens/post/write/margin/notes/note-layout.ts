/** A note to be placed: where it would like to stand, and how tall it is. */
export interface NoteBox {
  id: string;
  anchor: number;
  height: number;
}

const GAP = 10;

/**
 * Places notes level with their lines. Later ones give way downwards; the one in hand stays on its line and those
 * before it give way upwards. Answers the top of each note in pixels, by id.
 */
export function stackNotes(boxes: readonly NoteBox[], inHand: string | null): Map<string, number> {
  const tops = new Map<string, number>();
  const held = boxes.findIndex((box) => box.id === inHand);
  let floor = 0;
  boxes.forEach((box, at) => {
    const top = at === held ? box.anchor : Math.max(box.anchor, floor);
    tops.set(box.id, top);
    floor = top + box.height + GAP;
  });
  if (held > 0) {
    let ceiling = boxes[held].anchor - GAP;
    for (let at = held - 1; at >= 0; at--) {
      const box = boxes[at];
      const top = tops.get(box.id)!;
      if (top + box.height <= ceiling) break;
      tops.set(box.id, ceiling - box.height);
      ceiling -= box.height + GAP;
    }
  }
  return tops;
}
