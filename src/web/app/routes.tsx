import { Navigate, type RouteObject } from 'react-router';
import { PageProblem } from './page-problem.tsx';
import { Shell } from './shell.tsx';

const Waiting = () => <div aria-busy="true" className="m-6 h-40 rounded-md border bg-sheet" />;

/** Every screen's address; each screen's code comes when it is opened. */
export const routes: RouteObject[] = [
  {
    path: '/',
    element: <Shell />,
    errorElement: <PageProblem />,
    HydrateFallback: Waiting,
    children: [
      { index: true, element: <Navigate to="/today" replace /> },
      {
        path: 'posts',
        lazy: async () => ({ Component: (await import('../screens/posts/posts.tsx')).Posts }),
      },
      {
        path: 'posts/trash',
        lazy: async () => ({ Component: (await import('../screens/trash/trash.tsx')).Trash }),
      },
      {
        path: 'posts/calendar',
        lazy: async () => ({ Component: (await import('../screens/posts/calendar/calendar.tsx')).Calendar }),
      },
      {
        path: 'posts/:postId',
        lazy: async () => ({ Component: (await import('../screens/post/frame/post-frame.tsx')).PostFrame }),
        // A step that fails leaves the rest of the post, and what was written, in sight.
        errorElement: <PageProblem />,
        children: [
          {
            errorElement: <PageProblem />,
            children: [
              { index: true, element: <Navigate to="write" replace /> },
              {
                path: 'target',
                lazy: async () => ({ Component: (await import('../screens/post/target/target.tsx')).Target }),
              },
              {
                path: 'talk',
                lazy: async () => ({
                  Component: (await import('../screens/post/talk/talk-step.tsx')).TalkStep,
                }),
              },
              {
                path: 'study',
                lazy: async () => ({
                  Component: (await import('../screens/post/study/study-step.tsx')).StudyStep,
                }),
              },
              {
                path: 'brief',
                lazy: async () => ({
                  Component: (await import('../screens/post/brief/brief-step.tsx')).BriefStep,
                }),
              },
              {
                path: 'outline',
                lazy: async () => ({
                  Component: (await import('../screens/post/outline/outline-step.tsx')).OutlineStep,
                }),
              },
              {
                path: 'write',
                lazy: async () => ({ Component: (await import('../screens/post/write/write.tsx')).Write }),
              },
              {
                path: 'start',
                lazy: async () => ({
                  Component: (await import('../screens/post/start/guided-start.tsx')).GuidedStart,
                }),
              },
              {
                path: 'release',
                lazy: async () => ({
                  Component: (await import('../screens/post/release/release.tsx')).Release,
                }),
              },
              {
                path: 'reading',
                lazy: async () => ({
                  Component: (await import('../screens/post/reading/reading.tsx')).Reading,
                }),
              },
              {
                path: 'report',
                lazy: async () => ({ Component: (await import('../screens/post/report/report.tsx')).Report }),
              },
              {
                path: 'versions',
                lazy: async () => ({
                  Component: (await import('../screens/post/versions/versions.tsx')).Versions,
                }),
              },
              {
                path: 'reuse',
                lazy: async () => ({
                  Component: (await import('../screens/post/reuse/reuse.tsx')).Reuse,
                }),
              },
            ],
          },
        ],
      },
      {
        path: 'keywords',
        lazy: async () => ({ Component: (await import('../screens/keywords/keywords.tsx')).Keywords }),
      },
      {
        path: 'keywords/lists',
        lazy: async () => ({ Component: (await import('../screens/keywords/lists.tsx')).Lists }),
      },
      {
        path: 'keywords/near-wins',
        lazy: async () => ({ Component: (await import('../screens/keywords/near-wins.tsx')).NearWins }),
      },
      {
        path: 'ideas',
        lazy: async () => ({ Component: (await import('../screens/ideas/ideas.tsx')).Ideas }),
      },
      {
        path: 'today',
        lazy: async () => ({ Component: (await import('../screens/today/today.tsx')).Today }),
      },
      {
        path: 'import',
        lazy: async () => ({ Component: (await import('../screens/import/import.tsx')).Import }),
      },
      {
        path: 'site',
        lazy: async () => ({ Component: (await import('../screens/site/site.tsx')).Site }),
      },
      {
        path: 'site/categories',
        lazy: async () => ({
          Component: (await import('../screens/site/order/categories.tsx')).Categories,
        }),
      },
      {
        path: 'site/addresses',
        lazy: async () => ({
          Component: (await import('../screens/site/order/addresses.tsx')).Addresses,
        }),
      },
      {
        path: 'site/upkeep',
        lazy: async () => ({ Component: (await import('../screens/site/upkeep/upkeep.tsx')).UpkeepScreen }),
      },
      {
        path: 'site/upkeep/join/:keeperId/:otherId',
        lazy: async () => ({ Component: (await import('../screens/site/join/join.tsx')).JoinPosts }),
      },
      {
        path: 'site/audit',
        lazy: async () => ({ Component: (await import('../screens/site/audit/audit.tsx')).AuditScreen }),
      },
      {
        path: 'site/audit/report',
        lazy: async () => ({
          Component: (await import('../screens/site/audit/audit-report.tsx')).AuditReport,
        }),
      },
      {
        path: 'site/performance',
        lazy: async () => ({
          Component: (await import('../screens/site/performance/performance.tsx')).Performance,
        }),
      },
      {
        path: 'site/performance/page',
        lazy: async () => ({
          Component: (await import('../screens/site/performance/page-performance.tsx')).PagePerformance,
        }),
      },
      {
        path: 'site/links',
        lazy: async () => ({ Component: (await import('../screens/site/map/link-map.tsx')).LinkMap }),
      },
      {
        path: 'history',
        lazy: async () => ({ Component: (await import('../screens/history/history.tsx')).History }),
      },
      {
        path: 'rules/patterns',
        lazy: async () => ({
          Component: (await import('../screens/rules/patterns/patterns.tsx')).Patterns,
        }),
      },
      {
        path: 'rules/voices',
        lazy: async () => ({ Component: (await import('../screens/rules/voices/voices.tsx')).Voices }),
      },
      {
        path: 'rules/criteria',
        lazy: async () => ({
          Component: (await import('../screens/rules/criteria-rules.tsx')).CriteriaRules,
        }),
      },
      {
        path: 'rules',
        lazy: async () => ({ Component: (await import('../screens/rules/rules.tsx')).Rules }),
      },
      { path: '*', element: <PageProblem /> },
    ],
  },
];
