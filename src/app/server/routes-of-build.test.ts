import { routesOf } from './routes-of-build';

const routeOf = routesOf(
  JSON.stringify({
    staticRoutes: [{ page: '/rack', regex: '^/rack(?:/)?$' }],
    dynamicRoutes: [{ page: '/rack/[classId]', regex: '^/rack/([^/]+?)(?:/)?$' }],
  }),
);

test('a path is told by the route that it takes, and nothing in it is repeated', () => {
  expect(routeOf('/rack')).toBe('/rack');
  expect(routeOf('/rack/abc234')).toBe('/rack/[classId]');
  expect(routeOf('/_next/static/chunk.js')).toBe('/_next/');
  expect(routeOf('/wp-admin/FRESHPAN')).toBe('other');
});
