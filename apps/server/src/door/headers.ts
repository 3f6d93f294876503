import helmet from 'helmet';

/** Headers of every answer: nothing runs, loads or frames but from this server itself. Styles may stand in the page. */
export const safeHeaders = (encrypted: boolean) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: [`'self'`],
        scriptSrc: [`'self'`],
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
