import { criterion } from '../criterion.ts';
import { measure } from '../judging.ts';

export const linksExternal = criterion({
  id: 'links-external',
  group: 'links',
  title: 'External links',
  unit: 'links',
  place: 'text',
  weight: 2,
  needs: [],
  target: () => 'at least one link to another site',
  measure({ links }) {
    const found = links.filter((link) => link.kind === 'external').length;
    return measure(found > 0 ? 1 : 0, found, 'Link to one source or help on another site.');
  },
});
