import compression from 'compression';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { join } from 'node:path';
import { ROSTER_PATH, schoolRoster } from './school-roster';

/** What a page is put together of. Workers are no parts of a page: they keep to rules of their own, which come with them. */
const PART = /^\/(?!worker-)(?:media\/)?[\w-]+-[A-Z0-9]{8}\.(?:js|css|woff2)$/;

/** Rules that pages and workers bind themselves to. */
const forPages = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // Angular and PrimeNG write their components' styles into the page.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      mediaSrc: ["'self'", 'blob:'],
      fontSrc: ["'self'", 'data:'],
      connectSrc: ["'self'"],
      workerSrc: ["'self'", 'blob:'],
      objectSrc: ["'none'"],
      baseUri: ["'self'"],
      frameAncestors: ["'none'"],
      formAction: ["'self'"],
    },
  },
  // Served on this machine over plain http.
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'no-referrer' },
});

/** What holds for a part of a page: it is what it says, and for these pages only. The page's own rules say the rest. */
const forParts = helmet({
  contentSecurityPolicy: false,
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
  referrerPolicy: false,
  strictTransportSecurity: false,
  xDnsPrefetchControl: false,
  xDownloadOptions: false,
  xFrameOptions: false,
  xPermittedCrossDomainPolicies: false,
  xXssProtection: false,
});

const CHARTS = '/charts/';
/** The frame that charts are drawn in has no origin and reaches nothing; what it is made of may be read without one. */
const forCharts = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'unsafe-inline'"],
      fontSrc: ["'self'"],
      sandbox: ['allow-scripts'],
      frameAncestors: ["'self'"],
    },
  },
  crossOriginResourcePolicy: { policy: 'cross-origin' },
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'no-referrer' },
});

/** Serves the built application from `folder`; every address without a file is the application's own. */
export function hubApp(folder: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use((req, res, next) => {
    // A page has some sixty parts: what is said once with the page is not said again with each of them.
    if (PART.test(req.path)) return forParts(req, res, next);
    if (req.path.startsWith(CHARTS)) {
      res.setHeader('Access-Control-Allow-Origin', '*');
      return forCharts(req, res, next);
    }
    // A learner's recording and a picture of their work, for this application's own pages only.
    res.setHeader(
      'Permissions-Policy',
      'camera=(self), microphone=(self), geolocation=(), payment=(), usb=(), serial=(), bluetooth=(), hid=(), midi=(), display-capture=()',
    );
    forPages(req, res, next);
  });
  app.use(compression());
  // A stand-in for the school's own roster service, beside the application and apart from it.
  app.use(ROSTER_PATH, schoolRoster());
  // What was pressed when it was built is sent as it is; the rest is pressed on the way.
  app.use(
    expressStaticGzip(folder, {
      enableBrotli: true,
      orderPreference: ['br'],
      index: 'index.html',
      serveStatic: {
        setHeaders: (res, path) => {
          // File names carry their content's hash, but for the page itself.
          const isForGood = /-[A-Z0-9]{8}\.\w+(\.br)?$/.test(path);
          res.setHeader('Cache-Control', isForGood ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }),
  );
  app.get('/*splat', (_req, res) => {
    res.setHeader('Cache-Control', 'no-cache');
    res.sendFile(join(folder, 'index.html'));
  });
  return app;
}
