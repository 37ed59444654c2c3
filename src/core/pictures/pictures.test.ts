import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../criteria/index.ts';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import {
  creditOf,
  fitWeight,
  formatsFor,
  frameOf,
  middleCrop,
  type PictureFile,
  pictureName,
  pictureOrder,
  pictureRules,
  pixelKind,
  shownPictures,
  turned,
} from './index.ts';

describe('a cut', () => {
  const size = { width: 4000, height: 3000 };
  it('turns first, then crops, then narrows, and never enlarges', () => {
    const crop = { x: 0.5, y: 0, width: 0.5, height: 0.5 };
    expect(frameOf(size, { turn: 90, crop, width: 750 })).toEqual({
      source: { x: 1500, y: 0, width: 1500, height: 2000 },
      canvas: { width: 750, height: 1000 },
      turn: 90,
    });
    expect(frameOf(size, { turn: 0, crop, width: 9000 }).canvas).toEqual({ width: 2000, height: 1500 });
  });
  it.each([
    { x: 0.9, y: 0.9, width: 5, height: 5 },
    { x: -1, y: -1, width: 0, height: 0 },
    { x: 2, y: 2, width: 1, height: 1 },
  ])('keeps within the picture and keeps a pixel of it: %o', (crop) => {
    const { source, canvas } = frameOf(size, { turn: 180, crop, width: 1 });
    expect(source.x + source.width).toBeLessThanOrEqual(4000);
    expect(source.y + source.height).toBeLessThanOrEqual(3000);
    for (const length of [source.width, source.height, canvas.width, canvas.height])
      expect(length).toBeGreaterThanOrEqual(1);
  });
  it.each([1200 / 630, 1, 4 / 5])('to the ratio %d is the largest in the middle', (ratio) => {
    for (const turn of [0, 90] as const) {
      const { source } = frameOf(size, { turn, crop: middleCrop(turned(size, turn), ratio), width: null });
      const whole = turned(size, turn);
      expect(source.width / source.height).toBeCloseTo(ratio, 2);
      expect(source.width === whole.width || source.height === whole.height).toBe(true);
      expect(Math.abs(whole.width - source.width - 2 * source.x)).toBeLessThanOrEqual(1);
    }
  });
});

describe('a wished weight', () => {
  /** A writer whose files grow with pixels and, steeply, with quality, as those of photographs do. */
  const photograph = (detail: number) => {
    const asked: [number, number][] = [];
    const write = async (width: number, quality: number) => {
      asked.push([width, quality]);
      return { bytes: Math.round(width * width * detail * Math.exp(3 * (quality - 0.84))), file: null };
    };
    return { asked, write };
  };
  it('is met at once where the best quality meets it', async () => {
    const { asked, write } = photograph(0.05);
    const fitted = await fitWeight(write, { width: 1600, most: 200_000, holdsQuality: true });
    expect([fitted.bytes <= 200_000, fitted.width, asked.length]).toEqual([true, 1600, 1]);
  });
  it.each([0.08, 0.12, 0.2, 0.5, 2])(
    'is met and nearly used up, in few trials, at detail %d',
    async (detail) => {
      const { asked, write } = photograph(detail);
      const fitted = await fitWeight(write, { width: 2400, most: 200_000, holdsQuality: true });
      expect(fitted.tooHeavy).toBe(false);
      expect(fitted.bytes).toBeLessThanOrEqual(200_000);
      expect(fitted.bytes).toBeGreaterThan(120_000);
      expect(asked.length).toBeLessThanOrEqual(22);
    },
  );
  it('is met with a narrower picture where the format holds no quality', async () => {
    const write = async (width: number) => ({ bytes: width * 200, file: null });
    const fitted = await fitWeight(write, { width: 2000, most: 200_000, holdsQuality: false });
    expect([fitted.bytes <= 200_000, fitted.width > 700, fitted.tooHeavy]).toEqual([true, true, false]);
  });
  it('that no picture can meet comes back as light as it gets, and says so', async () => {
    const { asked, write } = photograph(900);
    const fitted = await fitWeight(write, { width: 2400, most: 5000, holdsQuality: true });
    expect([fitted.tooHeavy, fitted.width]).toEqual([true, 320]);
    expect(asked.length).toBeLessThan(30);
    expect((await fitWeight(write, { width: 100, most: 5, holdsQuality: false })).width).toBe(100);
  });
});

describe('what pixels tell', () => {
  const pixels = (make: (at: number) => [number, number, number, number]) =>
    Uint8ClampedArray.from(Array.from({ length: 10_000 }, (_, at) => make(at)).flat());
  it.each([
    ['a chart of three colours', pixels((at) => [at % 3, 0, 0, 255]), { hasAlpha: false, isDrawing: true }],
    [
      'a screenshot with soft edges of letters',
      pixels((at) => (at % 10 === 0 ? [at % 251, at % 241, 9, 255] : [255, 255, 255, 255])),
      { hasAlpha: false, isDrawing: true },
    ],
    [
      'a photograph',
      pixels((at) => [(at * 7) % 256, (at * 13) % 256, at % 256, 255]),
      { hasAlpha: false, isDrawing: false },
    ],
    ['a logo on nothing', pixels((at) => [0, 0, 0, at < 20 ? 0 : 255]), { hasAlpha: true, isDrawing: true }],
    ['nothing', new Uint8ClampedArray(), { hasAlpha: false, isDrawing: false }],
  ])('of %s', (_name, given, kind) => expect(pixelKind(given)).toEqual(kind));

  it('what can be seen through is never made JPEG, and shares get what every card shows', () => {
    for (const isShown of ['in the text', 'in shares'] as const)
      for (const wish of ['fitting', 'jpeg', 'webp', 'png'] as const)
        for (const isDrawing of [true, false])
          expect(formatsFor({ hasAlpha: true, isDrawing }, wish, isShown)).not.toContain('jpeg');
    expect(formatsFor({ hasAlpha: false, isDrawing: false }, 'fitting', 'in shares')).toEqual(['jpeg']);
    expect(formatsFor({ hasAlpha: false, isDrawing: false }, 'fitting', 'in the text')).toEqual(['webp']);
    expect(formatsFor({ hasAlpha: false, isDrawing: true }, 'fitting', 'in the text')[0]).toBe('png');
  });
});

describe('a credit', () => {
  it.each([
    [{ Artist: 'Ada Reed', Copyright: '© 2025 Eddering Press' }, 'Ada Reed, © 2025 Eddering Press'],
    [{ Artist: 'Ada Reed', Copyright: '(c) Ada Reed 2025' }, '(c) Ada Reed 2025'],
    [{ Byline: ['Ada Reed', 'Tom Fenn'] }, 'Ada Reed'],
    [{ Artist: 'Ada\u0000\n Reed\u202e' }, 'Ada Reed'],
    [{ Artist: 7, Copyright: '   ' }, ''],
    [{}, ''],
  ])('of %o', (tags, credit) => expect(creditOf(tags)).toBe(credit));
  it('takes nothing from what every object has', () =>
    expect(creditOf(Object.create({ Artist: 'nobody' }) as Record<string, unknown>)).toBe(''));
});

const at = (src: string, rest: Partial<Parameters<typeof pictureName>[0]> = {}) => ({
  blockId: 'b',
  src: `media/${src}`,
  alt: null,
  caption: '',
  heading: '',
  ...rest,
});

describe('the name of a picture', () => {
  const name = (given: ReturnType<typeof at>, keyword = 'tide tables') => pictureName(given, keyword, [2, 8]);
  it.each([
    ['its own where that tells', at('causeway-at-low-water.jpg'), 'causeway-at-low-water'],
    [
      'its caption',
      at('IMG_2041.jpg', { caption: 'The causeway at low water, seen from the dyke' }),
      'causeway-low-water-seen-dyke',
    ],
    ['its alternative text', at('DSC00123.JPG', { alt: 'Two grey panniers' }), 'two-grey-panniers'],
    ['the heading it stands under', at('image.png', { heading: 'When to cross' }), 'tide-tables-cross'],
    [
      'a title that says the keyword, once',
      at('image.png', { heading: 'Tide tables: how to read tide tables' }),
      'tide-tables-read',
    ],
    ['the keyword', at('8f3e9a1c.webp'), 'tide-tables'],
  ])('is %s', (_what, given, wished) => expect(name(given)).toBe(wished));
  it('stays where nothing tells what it shows', () => expect(name(at('IMG_1.jpg'), '')).toBe('IMG_1'));
  it('gets a number where another has it', () =>
    expect(pictureName(at('IMG_1.jpg'), 'tide tables', [2, 8], new Set(['tide-tables']))).toBe(
      'tide-tables-2',
    ));
});

describe('pictures put in order', () => {
  const file = (rest: Partial<PictureFile>): PictureFile => ({
    width: 1200,
    height: 800,
    bytes: 90_000,
    format: 'jpeg',
    hasAlpha: false,
    isDrawing: false,
    isMoving: false,
    notes: 0,
    hasPlace: false,
    isTurned: false,
    credit: '',
    ...rest,
  });
  const rules = pictureRules(defaultProfile.limits);
  const order = (rest: Partial<PictureFile>, src = 'low-water.jpg', wished = rules) =>
    pictureOrder([at(src)], new Map([[`media/${src}`, file(rest)]]), 'tide tables', wished)[0];
  it.each<[string, Partial<PictureFile>, string[], boolean]>([
    ['light and narrow', {}, [], false],
    ['wide', { width: 4000 }, ['width'], true],
    ['heavy', { bytes: 900_000 }, ['weight'], true],
    ['with the camera’s notes', { notes: 900 }, ['notes'], false],
    ['with notes that turn it', { notes: 900, isTurned: true }, ['notes'], true],
    ['of a kind whose notes cannot be taken out', { notes: 1, format: null }, ['notes'], true],
    ['that moves', { isMoving: true, format: null, bytes: 3_000_000 }, [], false],
  ])('one that is %s', (_what, rest, steps, isWritten) => {
    const plan = order(rest);
    expect([plan.steps, plan.isWritten]).toEqual([steps, isWritten]);
    expect(plan.left === '').toBe(!rest.isMoving);
  });
  it('get the house’s format, but for what can be seen through', () => {
    const wished = pictureRules(defaultProfile.limits, 'jpeg');
    expect(order({ format: 'png' }, 'low-water.png', wished).steps).toEqual(['format']);
    expect(order({ format: 'png', hasAlpha: true }, 'low-water.png', wished).steps).toEqual([]);
  });
  it('are each looked at once, wherever they stand, and named apart; what lies elsewhere stays', () => {
    const { draft } = readMarkdown(
      '![](media/IMG_1.jpg)\n\n## Slack water\n\n![](media/IMG_1.jpg)\n\n![](media/IMG_2.jpg)\n\n![](https://a.example/x.png)',
    );
    const shown = shownPictures({
      fields: { ...emptyFields(), image: 'media/IMG_1.jpg', title: 'Tides' },
      draft,
    });
    expect(shown.map(({ blockId, heading }) => [blockId === null, heading])).toEqual([
      [true, 'Tides'],
      [false, ''],
      [false, 'Slack water'],
      [false, 'Slack water'],
      [false, 'Slack water'],
    ]);
    const files = new Map(['media/IMG_1.jpg', 'media/IMG_2.jpg'].map((src) => [src, file({})]));
    const plans = pictureOrder(shown, files, 'tide tables', rules);
    expect(plans.map(({ shown: places, name }) => [places.length, name])).toEqual([
      [3, 'tide-tables-tides'],
      [1, 'tide-tables-slack-water'],
    ]);
  });
});
