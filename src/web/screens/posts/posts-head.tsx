import type { ReactNode } from 'react';
import { RoomNav } from '../../ui/room-nav.tsx';

const PLACES = [
  { to: '/posts', name: 'List' },
  { to: '/posts/calendar', name: 'Calendar' },
];

/** The head of the ways of looking at all posts. */
export const PostsHead = ({ children }: { children: ReactNode }) => (
  <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-5 pb-3">
    <h1 className="font-serif text-[26px] font-semibold">Posts</h1>
    <RoomNav name="Ways of looking at posts" places={PLACES} />
    {children}
  </header>
);
