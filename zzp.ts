import { chromium } from '@playwright/test';
const shots: [string,string,string,((p:any)=>Promise<void>)?][] = JSON.parse(process.argv[2]!);
const night = process.argv[3]==='night';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--use-angle=swiftshader','--enable-unsafe-swiftshader','--ignore-gpu-blocklist'] });
const ctx = await b.newContext({ viewport: { width: 1280, height: 800 }, ...(night?{colorScheme:'dark'}:{}) });
const p = await ctx.newPage();
p.on('console', (m:any) => m.type()==='error' && console.log('console', m.text().slice(0,300)));
p.on('pageerror', (e:any) => console.log('pageerror', e.message.slice(0,300)));
const builds = await (await fetch('http://127.0.0.1:4300/api/builds')).json();
for (const [name, build, path, acts] of shots as any) {
  const id = builds.find((x:any)=>x.name.startsWith(build)).id;
  await p.goto(`http://127.0.0.1:4300/builds/${id}${path}`);
  await p.waitForTimeout(1200);
  for (const a of acts ?? []) {
    if (a.press) await p.getByRole(a.role ?? 'button', { name: new RegExp(a.press) }).first().click();
    if (a.range) await p.getByRole('slider').first().fill(String(a.range));
    if (a.wait) await p.waitForTimeout(a.wait);
    if (a.scroll) await p.locator('aside [role=group]').last().evaluate((e:any,y:number)=>{e.scrollTop=y}, a.scroll);
    if (a.fill) { const f=p.getByLabel(a.fill[0],{exact:true}).first(); await f.fill(a.fill[1]); await f.press('Enter'); }
    if (a.key) await p.keyboard.press(a.key);
  }
  await p.waitForTimeout(400);
  await p.screenshot({ path: `/tmp/shop/${name}.png` });
}
await b.close();
