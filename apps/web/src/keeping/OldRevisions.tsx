import { workshop } from '../api/workshop';
import { Check } from '../parts/Check';
import { Section, useKept } from './Section';

export function OldRevisions({ thinning }: { readonly thinning: boolean }) {
  const turning = useKept(
    (on: boolean) => workshop.thin(on).then(() => on),
    (on) => (on ? 'Old revisions are thinned from now on.' : 'Every revision stays from now on.'),
  );
  return (
    <Section
      title="Old revisions"
      about="All revisions stay for 30 days, then the last of each day, and after a year the last of each month. The first, the newest, and those that were named, printed from or compared with always stay."
    >
      <Check checked={turning.isPending ? turning.variables : thinning} onChange={(on) => turning.mutate(on)}>
        Thin old revisions by this rule
      </Check>
    </Section>
  );
}
