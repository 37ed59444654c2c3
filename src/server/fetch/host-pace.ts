/** Milliseconds between two requests to one host. */
const PACE = 1000;
/** Hosts that are remembered at most. */
const MOST_HOSTS = 5000;

/** Lets one request a second through to each host; those that wait go in their order. */
export class HostPace {
  /** When the next request to a host may go, in milliseconds. */
  private readonly next = new Map<string, number>();

  constructor(
    private readonly pace: number = PACE,
    private readonly now: () => number = () => Date.now(),
  ) {}

  /** Milliseconds that a request to a host has to wait; its turn is taken with the call. */
  turn(host: string): number {
    const now = this.now();
    if (this.next.size > MOST_HOSTS)
      for (const [name, at] of this.next) if (at <= now) this.next.delete(name);
    const at = Math.max(now, this.next.get(host) ?? 0);
    this.next.set(host, at + this.pace);
    return at - now;
  }
}
