import helmet from 'helmet';

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
