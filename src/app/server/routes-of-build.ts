/** The routes of the build by their names, so that what is counted by route has as many rows as there are routes. */
import { readFileSync } from 'node:fs';
import { z } from 'zod';

const page = z.object({ page: z.string(), regex: z.string() });
const manifest = z.object({ staticRoutes: z.array(page), dynamicRoutes: z.array(page) });

/** Where the build's own files are: its scripts and styles, and what the page's workers are made of. */
const OWN_FILES = ['/_next/', '/workers/'] as const;

/** Tells the route of a path; "other" where there is none. */
export function routesOf(text: string): (path: string) => string {
  const { staticRoutes, dynamicRoutes } = manifest.parse(JSON.parse(text));
  const routes = [...staticRoutes, ...dynamicRoutes].map((route) => ({ ...route, regex: new RegExp(route.regex) }));
  return (path) =>
    OWN_FILES.find((folder) => path.startsWith(folder)) ??
    routes.find(({ regex }) => regex.test(path))?.page ??
    'other';
}

export const routesOfBuild = () => routesOf(readFileSync('.next/routes-manifest.json', 'utf8'));
