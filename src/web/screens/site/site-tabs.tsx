import { RoomNav } from '../../ui/room-nav.tsx';

const PLACES = [
  { to: '/site', name: 'Pages' },
  { to: '/site/categories', name: 'Categories' },
  { to: '/site/addresses', name: 'Addresses' },
  { to: '/site/links', name: 'Link map' },
  { to: '/site/upkeep', name: 'Upkeep' },
  { to: '/site/audit', name: 'Audit' },
  { to: '/site/performance', name: 'Performance' },
];

/** The ways of looking at a whole site. */
export const SiteTabs = () => <RoomNav name="Site" places={PLACES} />;
