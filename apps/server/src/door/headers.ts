import type { ServerResponse } from 'node:http';
import helmet from 'helmet';

/** The one script that makes its own calls from text: the worker that drives the solid modeller. */
const MODELLER = /[\\/]solids\.worker-[\w-]+\.js$/;

/**
 * That worker's own policy, which goes by the answer that its script came with: it may make code from text, and fetch from
 * this server; it has no page, and what reaches it are a build's own figures.
 */
export function modellerHeaders(response: ServerResponse, file: string): void {
  if (!MODELLER.test(file)) return;
  response.setHeader(
    'Content-Security-Policy',
    `default-src 'none';script-src 'self' 'unsafe-eval';connect-src 'self'`,
  );
}

/** Headers of every answer: nothing runs, loads or frames but from this server itself. Styles may stand in the page. */
export const safeHeaders = (encrypted: boolean) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: [`'self'`],
        // The solver of nests is compiled code; it may run, text as code may not.
        scriptSrc: [`'self'`, `'wasm-unsafe-eval'`],
        scriptSrcAttr: [`'none'`],
        styleSrc: [`'self'`, `'unsafe-inline'`],
        imgSrc: [`'self'`, 'data:', 'blob:'],
        fontSrc: [`'self'`],
        connectSrc: [`'self'`],
        workerSrc: [`'self'`, 'blob:'],
        frameSrc: [`'self'`, 'blob:'],
        objectSrc: [`'none'`],
        baseUri: [`'none'`],
        formAction: [`'self'`],
        frameAncestors: [`'none'`],
      },
    },
    referrerPolicy: { policy: 'no-referrer' },
    xFrameOptions: { action: 'deny' },
    strictTransportSecurity: false,
    ...(encrypted ? {} : { originAgentCluster: false, crossOriginOpenerPolicy: false }),
  });
