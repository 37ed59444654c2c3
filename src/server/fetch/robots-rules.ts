import robotsParser from 'robots-parser';
import { goOut } from './go-out.ts';
import type { HostPace } from './host-pace.ts';
import type { Outward } from './outward.ts';
import { Refusal } from './refusal.ts';

/** Milliseconds for which a host's rules are remembered. */
const KEPT_FOR = 3_600_000;
const MOST_HOSTS = 500;
/** Bytes of a robots.txt that are read (RFC 9309 asks for 500 kibibytes at least). */
const MOST_BYTES = 512_000;

type Rules = { isAllowed(path: string): boolean };
const ALL: Rules = { isAllowed: () => true };
const NONE: Rules = { isAllowed: () => false };

/** What hosts let programs read, by their robots.txt (RFC 9309); read once an hour. */
export class RobotsRules {
  private readonly known = new Map<string, { at: number; rules: Promise<Rules> }>();

  constructor(
    private readonly outward: Outward,
    private readonly pace: HostPace,
    /** The name by which a host may speak of us. */
    private readonly name: string,
    private readonly now: () => number = () => Date.now(),
  ) {}

  /** Whether a page may be read. */
  async allow(url: URL, calledOff?: AbortSignal): Promise<boolean> {
    const { origin } = url;
    const known = this.known.get(origin);
    let rules = known && this.now() - known.at < KEPT_FOR ? known.rules : null;
    if (!rules) {
      if (this.known.size >= MOST_HOSTS) this.known.clear();
      rules = this.read(origin, calledOff);
      this.known.set(origin, { at: this.now(), rules });
      // What was called off says nothing about the host.
      rules.catch(() => this.known.delete(origin));
    }
    return (await rules).isAllowed(url.href);
  }

  /** Without a file everything may be read; where the host fails, nothing may (RFC 9309, 2.3.1). */
  private async read(origin: string, calledOff?: AbortSignal): Promise<Rules> {
    const address = `${origin}/robots.txt`;
    try {
      const { status, body } = await goOut(
        address,
        'GET',
        { ...this.outward, mostBytes: MOST_BYTES },
        this.pace,
        {
          accept: 'text/plain',
          calledOff,
        },
      );
      if (status >= 500) return NONE;
      if (status >= 400) return ALL;
      const parsed = robotsParser(address, body.toString('utf8'));
      return { isAllowed: (path) => parsed.isAllowed(path, this.name) !== false };
    } catch (error) {
      if (error instanceof Refusal && error.kind === 'too-large') return ALL;
      throw error;
    }
  }
}
