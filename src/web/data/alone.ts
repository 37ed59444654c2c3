/** Does work that no other tab or worker may do in the same moment; where the browser has no locks it just does it. */
export const alone = async <Answer>(name: string, work: () => Promise<Answer>): Promise<Answer> =>
  globalThis.navigator?.locks ? navigator.locks.request(name, work) : work();
