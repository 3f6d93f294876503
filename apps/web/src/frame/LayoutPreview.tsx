import { findingText, formatMass, type LayoutOffer } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { Silhouette } from '../sheet/Silhouette';
import { silhouetteOf } from '../sheet/silhouetteShape';

/** What a layout would make of this stance: its silhouette, how many tubes, how heavy; or why it is not to be had. */
export function LayoutPreview({ offer: { made, refused, layout } }: { readonly offer: LayoutOffer }) {
  const { document } = useEditor('document');
  if (refused !== undefined)
    return (
      <p role="status" className="border-l-4 border-larch bg-sheet px-3 py-1.5 text-[13px]">
        {refused}
      </p>
    );
  if (!made) return null;
  const { plan } = made;
  const mass = plan.weights.reduce((sum, weight) => sum + weight.mass, 0);
  const looks = plan.findings.filter(
    ({ severity, where }) => severity !== 'note' && (where.station === 'tubes' || where.station === 'joints'),
  );
  return (
    <figure className="border border-rule bg-sheet">
      <Silhouette
        shape={silhouetteOf(plan)}
        label={`${layout.name}, as it would be made`}
        className="h-32 w-full"
      />
      <figcaption className="px-3 pb-1.5 text-[13px]">
        It makes {plan.frame.pieces.length} tubes and {plan.frame.plates.length} plates,{' '}
        {formatMass(mass, document.units)}.
        {looks.length > 0 &&
          ` To look at: ${looks.map((each) => findingText(each, document.units).title).join('; ')}.`}
      </figcaption>
    </figure>
  );
}
