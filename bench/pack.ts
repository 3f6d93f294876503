import { performance } from 'node:perf_hooks';
import { fixtureDetails, planBuild, type FixtureDetails } from '@larchwood/core';
import { packOf, zipOf, type PackedFile } from '@larchwood/outputs';
import { KIT } from '../testing/kit.js';
import { demoBuilds } from './demo.js';

/** The pack of a bicycle and of the largest demo, in one place; the application makes solids beside the rest. */
export async function packs(): Promise<void> {
  console.log('\nThe pack, all files one after the other');
  for (const name of ['ferry-road-tourer', 'alder-wood-buggy']) {
    const { document } = demoBuilds().find((each) => each.name === name)!;
    const planned = planBuild(document);
    if (!planned.ok) throw new Error(`${name} has no plan.`);
    const { plan } = planned;
    let parts: FixtureDetails | undefined;
    const details = () => (parts ??= fixtureDetails({ document, ...plan }));
    const source = { document, plan, details, revision: 'revision 1', edition: { mark: 'r1' } };
    const spent = new Map<string, number>();
    let [last, since] = ['', performance.now()];
    const begun = since;
    const lap = (next: string) => {
      spent.set(last, (spent.get(last) ?? 0) + performance.now() - since);
      [last, since] = [next, performance.now()];
    };
    const files: PackedFile[] = [];
    for await (const file of packOf(source, KIT, { onMaking: ({ title }) => lap(title.replace(/: .*/, '')) }))
      files.push(file);
    lap('zip');
    const zip = await zipOf(files);
    lap('');
    console.log(
      `  ${name}: ${files.length} files, ${(zip.length / 1e6).toFixed(1)} MB, ${((performance.now() - begun) / 1000).toFixed(1)} s`,
    );
    for (const [title, ms] of [...spent].sort(([, a], [, b]) => b - a).slice(0, 6))
      console.log(`    ${ms.toFixed(0).padStart(6)} ms  ${title}`);
  }
}
