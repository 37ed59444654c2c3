import {
  type Cluster,
  type Clusterable,
  clickShare,
  clusterFigures,
  clusterPhrases,
  clusterSteps,
  type Difficulty,
  type DifficultyPrior,
  difficultyOf,
  difficultyPrior,
  type Intent,
  intentOf,
  type Keyword,
  KeywordBook,
  keywordView,
  type Opportunity,
  opportunityOf,
  type PhraseSite,
  phraseKey,
  type Related,
  type ResearchRules,
  relatedPhrases,
  seasonsSoon,
} from '../../core/research/index.ts';
import type { ClusterLine, DeskView, DeskWish, FoundLine, KeywordDetail, KeywordLine } from './desk-lines.ts';

/** What of a site decides what a phrase is worth to it. */
export interface DeskSite extends PhraseSite {
  rules: ResearchRules;
  /** 0 is January. */
  month: number;
}

/** All keywords of a site in memory, with what is computed of them; each figure is computed once and kept until a record changes. */
export class ResearchDesk {
  private readonly book: KeywordBook;
  private volumes = new Float64Array(0);
  private difficulties = new Float64Array(0);
  private opportunities: Float64Array | null = null;
  /** What the market of each region is like. */
  private priors = new Map<string, DifficultyPrior>();
  private readonly intents: (Intent | undefined)[] = [];
  private relations: { key: string; byRow: Map<number, Related> } | null = null;

  constructor(
    records: readonly Keyword[],
    private site: DeskSite,
  ) {
    this.book = new KeywordBook(records);
    this.grow();
  }

  get records(): readonly Keyword[] {
    return this.book.records;
  }

  /** What a site says of itself changed: what a phrase is worth to it is computed anew. */
  setSite(site: DeskSite): void {
    this.site = site;
    this.opportunities = null;
  }

  private difficulty(row: number): Difficulty | null {
    const record = this.records[row];
    return difficultyOf(record, this.priors.get(record.region));
  }

  private grow(): void {
    const { length } = this.records;
    const regions = new Map<string, Keyword[]>();
    for (const record of this.records) {
      const known = regions.get(record.region);
      if (known) known.push(record);
      else regions.set(record.region, [record]);
    }
    this.priors = new Map([...regions].map(([region, records]) => [region, difficultyPrior(records)]));
    const [volumes, difficulties] = [new Float64Array(length), new Float64Array(length)];
    for (let row = 0; row < length; row++) {
      volumes[row] = this.records[row].volume ?? Number.NaN;
      difficulties[row] = this.difficulty(row)?.value ?? Number.NaN;
    }
    this.volumes = volumes;
    this.difficulties = difficulties;
    this.opportunities = null;
    this.relations = null;
  }

  /** Adds or merges keywords; answers the rows that changed and how many are new. */
  add(keywords: Iterable<Keyword>): { rows: Set<number>; fresh: number } {
    const rows = new Set<number>();
    let fresh = 0;
    for (const keyword of keywords) {
      const added = this.book.add(keyword);
      rows.add(added.row);
      if (added.fresh) fresh += 1;
      this.intents[added.row] = undefined;
    }
    this.grow();
    return { rows, fresh };
  }

  /** Sets the intent that the writer decides on; null gives the computed one back. */
  setIntent(row: number, intent: Intent | null): void {
    this.book.records[row] = { ...this.records[row], setIntent: intent };
    this.intents[row] = undefined;
  }

  private intent(row: number): Intent {
    const known = this.intents[row];
    if (known) return known;
    const intent = this.records[row].setIntent ?? intentOf(this.records[row]).intent;
    this.intents[row] = intent;
    return intent;
  }

  private opportunityAt(row: number): Opportunity | null {
    const { phrase, volume, months } = this.records[row];
    const difficulty = Number.isNaN(this.difficulties[row]) ? null : this.difficulties[row];
    const { rules, month } = this.site;
    return opportunityOf({ phrase, volume, months, difficulty }, this.site, month, rules.weights);
  }

  private allOpportunities(): Float64Array {
    this.opportunities ??= Float64Array.from(
      this.records,
      (_, row) => this.opportunityAt(row)?.value ?? Number.NaN,
    );
    return this.opportunities;
  }

  private inRegion(region: string): Uint32Array {
    const rows = new Uint32Array(this.records.length);
    let size = 0;
    for (let row = 0; row < rows.length; row++) {
      if (this.records[row].region !== region) continue;
      rows[size] = row;
      size += 1;
    }
    return rows.subarray(0, size);
  }

  private relatedTo(seeds: readonly string[], region: string): Map<number, Related> {
    const key = `${region}\n${seeds.join('\n')}`;
    if (this.relations?.key !== key) {
      const rows = this.inRegion(region);
      const related = relatedPhrases(
        seeds,
        Array.from(rows, (row) => this.records[row]),
      );
      this.relations = { key, byRow: new Map(related.map((each) => [rows[each.index], each])) };
    }
    return this.relations.byRow;
  }

  /** Rows that are wanted, in order. */
  view({ seeds, region, wish, listed }: DeskWish): DeskView {
    const among =
      seeds.length > 0 ? Uint32Array.from(this.relatedTo(seeds, region).keys()) : this.inRegion(region);
    const onList = new Set(listed);
    const rows = keywordView(
      this.records,
      {
        volume: this.volumes,
        difficulty: this.difficulties,
        opportunity: () => this.allOpportunities(),
        intent: (row) => this.intent(row),
      },
      wish,
      among,
      (row) => onList.has(phraseKey(this.records[row].phrase)),
    );
    let volume = 0;
    for (const row of rows) volume += this.records[row].volume ?? 0;
    // A copy: the columns behind a view are longer than the view.
    return { rows: rows.slice(), volume, all: among.length };
  }

  /** Lines of rows, as they come into sight. */
  lines(rows: readonly number[]): KeywordLine[] {
    return rows.filter((row) => row < this.records.length).map((row) => this.line(row));
  }

  private line(row: number): KeywordLine {
    const { phrase, region, volume, months, source, setIntent, givenDifficulty } = this.records[row];
    const opportunity = this.opportunityAt(row);
    const difficulty = this.difficulty(row);
    const related = this.relations?.byRow.get(row);
    return {
      row,
      keyword: { phrase, region, volume, months, source, setIntent },
      difficulty: difficulty?.value ?? null,
      given: givenDifficulty !== null,
      give: difficulty?.give ?? 0,
      pages: difficulty?.from === 'pages' ? difficulty.shares.length : null,
      intent: this.intent(row),
      opportunity: opportunity?.value ?? null,
      held: opportunity?.held ?? this.site.own?.of(phrase) ?? null,
      relation: related ? { relation: related.relation, reason: related.reason } : null,
    };
  }

  /** One keyword with how its figures came about; null where it is not known. */
  detail(phrase: string, region: string): KeywordDetail | null {
    const row = this.book.rowOf(phrase, region);
    if (row < 0) return null;
    const record = this.records[row];
    return {
      line: this.line(row),
      difficulty: this.difficulty(row),
      intent: intentOf(record),
      opportunity: this.opportunityAt(row),
      found: record.found?.length ?? null,
    };
  }

  /** What is known of a phrase; null: nothing. */
  keyword(phrase: string, region: string): Keyword | null {
    const row = this.book.rowOf(phrase, region);
    return row < 0 ? null : this.records[row];
  }

  /** Addresses of the ten first pages found for a phrase; null: not looked up. */
  firstPages(phrase: string, region: string): string[] | null {
    const row = this.book.rowOf(phrase, region);
    return row < 0 ? null : (this.records[row].found?.slice(0, 10).map(({ address }) => address) ?? null);
  }

  /** Figures of a chart of volume against difficulty: rows of which both are known. */
  points(rows: Uint32Array): { row: number; volume: number; difficulty: number }[] {
    return Array.from(rows)
      .filter((row) => !Number.isNaN(this.volumes[row]) && !Number.isNaN(this.difficulties[row]))
      .map((row) => ({ row, volume: this.volumes[row], difficulty: this.difficulties[row] }));
  }

  /** Clusters of a view, in steps that yield the share that is done. */
  *clusters(rows: Uint32Array): Generator<number, ClusterLine[]> {
    const found = yield* clusterSteps(this.clusterable(rows));
    return found.map(({ name, members, volume }) => {
      const own = members.map((at) => rows[at]);
      const figures = own.map((row) => ({
        opportunity: this.opportunityAt(row)?.value ?? null,
        difficulty: Number.isNaN(this.difficulties[row]) ? null : this.difficulties[row],
      }));
      return { name, rows: own, volume, ...clusterFigures(figures) };
    });
  }

  /** The same in one go, as indices of the rows given. */
  clustersOf(rows: Uint32Array): Cluster[] {
    return clusterPhrases(this.clusterable(rows));
  }

  private clusterable(rows: Uint32Array): Clusterable[] {
    return Array.from(rows, (row) => {
      const { phrase, volume, found } = this.records[row];
      return {
        phrase,
        volume,
        pages: found?.map(({ address }) => address) ?? null,
        intent: this.intent(row),
      };
    });
  }

  /** Pages that are found for phrases of a view, those first that are opened most by those who search: searches times the share of clicks at their ranks. */
  found(rows: Uint32Array): FoundLine[] {
    const byAddress = new Map<string, FoundLine>();
    for (const row of rows) {
      const { phrase, volume, found } = this.records[row];
      found?.forEach(({ squareness: _squareness, ...page }, at) => {
        let line = byAddress.get(page.address);
        if (!line) {
          line = { page, phrases: [], volume: 0, clicks: 0 };
          byAddress.set(page.address, line);
        }
        line.phrases.push({ row, phrase, rank: at + 1, volume });
        line.volume += volume ?? 0;
        line.clicks += (volume ?? 0) * clickShare(this.site.rules.clickCurve, at + 1);
      });
    }
    for (const { phrases } of byAddress.values())
      phrases.sort((a, b) => a.rank - b.rank || (b.volume ?? 0) - (a.volume ?? 0));
    return [...byAddress.values()].sort((a, b) => b.clicks - a.clicks || b.volume - a.volume);
  }

  /** Phrases of a region with what they are worth, for ideas. */
  rated(region: string): {
    rows: Uint32Array;
    phrases: { phrase: string; volume: number | null; opportunity: number | null }[];
  } {
    const rows = this.inRegion(region);
    const worth = this.allOpportunities();
    return {
      rows,
      phrases: Array.from(rows, (row) => ({
        phrase: this.records[row].phrase,
        volume: this.records[row].volume,
        opportunity: Number.isNaN(worth[row]) ? null : worth[row],
      })),
    };
  }

  /** Phrases of a region whose season is about to begin, those worth most first. */
  seasonsSoon(region: string, today: Date): { line: KeywordLine; weeks: number; peak: number }[] {
    const { rows, phrases } = this.rated(region);
    return seasonsSoon(
      phrases.map(({ opportunity }, at) => ({ opportunity, months: this.records[rows[at]].months })),
      today,
    ).map(({ index, weeks, season }) => ({ line: this.line(rows[index]), weeks, peak: season.peak }));
  }

  /** Records of rows, for a file. */
  take(rows: Iterable<number>): Keyword[] {
    return Array.from(rows, (row) => this.records[row]);
  }
}
