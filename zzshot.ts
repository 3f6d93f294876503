import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: 1000, height: 1300 } });
await p.goto('file:///tmp/pk/ferry-road-tourer/index.html');
await p.screenshot({ path: '/tmp/shot1.png' });
await p.goto('file:///tmp/pk/alder-wood-buggy/index.html');
await p.pdf({ path: '/tmp/index.pdf', format: 'A4', preferCSSPageSize: true });
await b.close();
