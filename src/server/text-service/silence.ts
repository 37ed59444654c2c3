/** A signal that goes off after so many milliseconds without a sign of life, or with another signal. */
export class Silence {
  readonly signal: AbortSignal;
  isOver = false;
  private readonly over = new AbortController();
  private timer: NodeJS.Timeout;

  constructor(
    private readonly within: number,
    stop: AbortSignal,
  ) {
    this.signal = AbortSignal.any([this.over.signal, stop]);
    this.timer = this.begun();
  }

  heard(): void {
    clearTimeout(this.timer);
    this.timer = this.begun();
  }

  end(): void {
    clearTimeout(this.timer);
  }

  private begun(): NodeJS.Timeout {
    return setTimeout(() => {
      this.isOver = true;
      this.over.abort();
    }, this.within);
  }
}
