import type { Scene } from '../../core/scoring/index.ts';
import { SiteIndex } from '../../core/site/index.ts';
import type { SceneData } from './scene-data.ts';

/** The scene built out of its data. */
export const sceneOf = ({ site, posts, pictures, studies, voice, year }: SceneData): Scene => ({
  site,
  index: new SiteIndex(site, posts),
  pictures: new Map(pictures),
  studies: new Map(studies),
  voice,
  year,
});
