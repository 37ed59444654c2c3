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
const failed = async (error: unknown) => {
  const { CannotStart } = await import('./app/cannot-start.tsx');
  root.render(<CannotStart reason={error instanceof Error ? error.message : String(error)} />);
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
  .catch(failed)
  .catch((error: unknown) => {
    // What stands in the page itself then says what to do.
    console.error('What tells of it could not be loaded either:', error);
  });
