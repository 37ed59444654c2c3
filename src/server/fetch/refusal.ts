/** Why something from the network was not fetched; the message is a sentence for whoever asked. */
export class Refusal extends Error {
  constructor(
    /** `not-allowed`: we do not ask there; `no-answer`: nobody answered in time, or not to the end; `too-large`; `no-host`. */
    readonly kind: 'not-allowed' | 'no-answer' | 'too-large' | 'no-host',
    message: string,
  ) {
    super(message);
  }
}
