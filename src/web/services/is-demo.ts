/** True where the server was started with demo data. */
export const isDemo = (): boolean =>
  document.querySelector<HTMLMetaElement>('meta[name="dune-sparrow-demo"]')?.content === 'on';
