import { store } from '../state/store.ts';

/** Keeps the page's theme in step with what was chosen, or with the system. */
export function followTheme(): void {
  const system = matchMedia('(prefers-color-scheme: dark)');
  const apply = () => {
    const { theme } = store.getState().preferences;
    const dark = theme === 'dark' || (theme === 'system' && system.matches);
    document.documentElement.dataset['theme'] = dark ? 'dark' : 'light';
  };
  apply();
  store.subscribe(apply);
  system.addEventListener('change', apply);
}
