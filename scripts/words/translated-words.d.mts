import type { Plugin } from 'vite';

export function translatedWords(poFile: string): Plugin;
