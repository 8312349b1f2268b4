/** Parts of a page as markup, with the router that they ask to make the page anew. */
import { type AppRouterInstance, AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';

const nothing = () => undefined;
const router: AppRouterInstance = {
  back: nothing,
  forward: nothing,
  refresh: nothing,
  push: nothing,
  replace: nothing,
  prefetch: nothing,
  bfcacheId: '',
};

export const markupOf = (part: ReactElement): string =>
  renderToStaticMarkup(<AppRouterContext.Provider value={router}>{part}</AppRouterContext.Provider>);
