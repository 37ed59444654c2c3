import type { ListedPage, PageText } from '../../core/research/index.ts';

/** A page of the simulated world. */
export interface WorldPage extends ListedPage {
  description: string;
  /** The region in which its publisher is read most. */
  home: string;
  text: PageText;
  sections: { heading: string; text: string }[];
  html: string;
}

/** A page without its content. */
export const listedPage = ({ address, title, publisher, kind, standing }: WorldPage): ListedPage => ({
  address,
  title,
  publisher,
  kind,
  standing,
});
