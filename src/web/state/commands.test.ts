import { afterEach, describe, expect, it, vi } from 'vitest';
import { commandFor, commandsAtHand, isPressed, keysInWords, offerCommands } from './commands.ts';

const on = (platform: string) => vi.stubGlobal('navigator', { platform });
const press = (key: string, given: Partial<KeyboardEvent> = {}) =>
  ({
    key,
    code: '',
    ctrlKey: false,
    metaKey: false,
    shiftKey: false,
    altKey: false,
    ...given,
  }) as KeyboardEvent;
afterEach(() => vi.unstubAllGlobals());

describe('keys of commands', () => {
  it('are Ctrl here and the command key on a Mac', () => {
    on('Linux x86_64');
    expect(isPressed('Mod+K', press('k', { ctrlKey: true }))).toBe(true);
    expect(isPressed('Mod+K', press('k', { metaKey: true }))).toBe(false);
    expect(isPressed('Mod+K', press('K', { ctrlKey: true, shiftKey: true }))).toBe(false);
    expect(keysInWords('Mod+Shift+S')).toBe('Ctrl Shift S');
    on('MacIntel');
    expect(isPressed('Mod+K', press('k', { metaKey: true }))).toBe(true);
    expect(keysInWords('Mod+K')).toBe('⌘ K');
  });
  it('tell digits by the key, whatever sign Alt makes of it', () => {
    on('MacIntel');
    expect(isPressed('Alt+3', press('£', { altKey: true, code: 'Digit3' }))).toBe(true);
    expect(isPressed('Alt+3', press('3', { code: 'Digit3' }))).toBe(false);
  });
  it('take a question mark however it is typed', () => {
    on('Linux');
    expect(isPressed('?', press('?', { shiftKey: true }))).toBe(true);
    expect(isPressed('?', press('?'))).toBe(true);
  });
});

describe('commands at hand', () => {
  it('come and go with what offers them', () => {
    const run = () => {};
    const stop = offerCommands([{ id: 'a', name: 'A', group: 'G', run }]);
    offerCommands([{ id: 'b', name: 'B', group: 'G', run }]);
    expect(commandsAtHand().map(({ id }) => id)).toEqual(['a', 'b']);
    stop();
    expect(commandsAtHand().map(({ id }) => id)).toEqual(['b']);
  });
});

describe('the command that a key asks for', () => {
  const offer = (keys: string) => offerCommands([{ id: keys, name: keys, group: 'G', keys, run: () => {} }]);
  it('is the latest that was offered, and none while a character is composed', () => {
    on('Linux');
    const stops = [offer('Mod+Shift+S'), offer('?')];
    const pressed = press('S', { ctrlKey: true, shiftKey: true });
    expect(commandFor(pressed)?.id).toBe('Mod+Shift+S');
    expect(commandFor({ ...pressed, isComposing: true })).toBeNull();
    expect(commandFor(press('s', { ctrlKey: true }))).toBeNull();
    for (const stop of stops) stop();
    expect(commandFor(pressed)).toBeNull();
  });
});
