import { createBrowserRouter } from 'react-router';
import { SignInPage } from '../features/session';
import { StudiesPage } from '../features/studies';
import { Waiting } from '../shared/Notice';
import { ErrorPage } from './ErrorPage';
import { SignedIn } from './SignedIn';
import { commonWording } from '../shared/wording';

/** The page says whether it was sent by an installation that people work with. */
const isDevelopment = document.documentElement.dataset['stage'] === 'development';

export const router = createBrowserRouter([
  { path: '/sign-in', element: <SignInPage />, errorElement: <ErrorPage /> },
  {
    path: '/welcome',
    lazy: async () => ({ Component: (await import('../features/session/WelcomePage')).WelcomePage }),
    hydrateFallbackElement: <Waiting what={commonWording.openingGreaterReach} />,
    errorElement: <ErrorPage />,
  },
  {
    element: <SignedIn />,
    hydrateFallbackElement: <Waiting what={commonWording.openingGreaterReach} />,
    errorElement: <ErrorPage />,
    children: [
      { path: '/', element: <StudiesPage /> },
      { path: '/people', lazy: async () => ({ Component: (await import('../features/people')).PeoplePage }) },
      ...(isDevelopment ? [{ path: '/style', lazy: async () => ({ Component: (await import('../features/style')).StylePage }) }] : []),
      { path: '/audit', lazy: async () => ({ Component: (await import('../features/audit')).AuditPage }) },
      {
        path: '/studies/:slug',
        lazy: async () => ({ Component: (await import('./StudyFrame')).StudyFrame }),
        children: [
          { index: true, lazy: async () => ({ Component: (await import('../features/compare')).ComparePage }) },
          { path: 'findings', lazy: async () => ({ Component: (await import('../features/findings')).FindingsPage }) },
          { path: 'gather', lazy: async () => ({ Component: (await import('../features/gather')).GatherPage }) },
          { path: 'compare', lazy: async () => ({ Component: (await import('../features/compare')).ComparePage }) },
          { path: 'weigh', lazy: async () => ({ Component: (await import('../features/weigh')).WeighPage }) },
          { path: 'plan', lazy: async () => ({ Component: (await import('../features/plan')).PlanPage }) },
          { path: 'track', lazy: async () => ({ Component: (await import('../features/track')).TrackPage }) },
          { path: 'rulebook', lazy: async () => ({ Component: (await import('../features/rulebook')).RulebookPage }) },
        ],
      },
    ],
  },
]);
