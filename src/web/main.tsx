import './styles.css';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { standInForIds } from './app/insecure.ts';
import { keepOffline } from './app/offline.ts';
import { routes } from './app/routes.tsx';
import { start } from './app/start.ts';
import { followTheme } from './app/theme.ts';
import { store } from './state/store.ts';

standInForIds();
followTheme();
const root = createRoot(document.getElementById('root')!);
const failed = (error: unknown) => {
  const reason = error instanceof Error ? error.message : String(error);
  root.render(
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 text-xl font-semibold">Dune Sparrow could not start</h1>
      <p className="mb-3">{reason}</p>
      <p className="text-soft">
        If this window refuses storage (a private window may), open an ordinary one. Otherwise reload the
        page.
      </p>
    </main>,
  );
};
start()
  .then(() => {
    const router = createBrowserRouter(routes);
    root.render(
      <Provider store={store}>
        <RouterProvider router={router} />
      </Provider>,
    );
    void keepOffline();
  })
  .catch(failed);
