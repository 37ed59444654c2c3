export { type TitleCandidate, titleCandidates } from './title-candidates.ts';
export { type LikeTitle, mostAlike, titleLikeness } from './title-likeness.ts';
export { type TitleShapes, titleShapes } from './title-shapes.ts';
