import { Link } from 'react-router';
import type { NamedPage } from '../../../workers/performance-scene.ts';

/** The address of what came of a page. */
export const performanceOf = (path: string): string =>
  `/site/performance/page?path=${encodeURIComponent(path)}`;

/** A page by its title, leading to what came of it. */
export const PageLink = ({
  page: { path, title },
  className = '',
}: {
  page: NamedPage;
  className?: string;
}) => (
  <Link
    to={performanceOf(path)}
    title={`${title}, ${path}`}
    className={`hover:text-marram hover:underline ${className}`}
  >
    {title}
  </Link>
);
