import { SILHOUETTE, type SilhouetteShape } from './silhouetteShape';

/** A vehicle as its shadow. */
export function Silhouette({
  shape: { ground, wheels, tubes },
  label,
  className = '',
}: {
  readonly shape: SilhouetteShape;
  readonly label: string;
  readonly className?: string;
}) {
  return (
    <svg
      viewBox={`0 0 ${SILHOUETTE.width} ${SILHOUETTE.height}`}
      className={className}
      role="img"
      aria-label={label}
    >
      {ground !== undefined && (
        <path d={`M4 ${ground}H${SILHOUETTE.width - 4}`} stroke="var(--rule)" strokeWidth="1.5" />
      )}
      {wheels.map((d, index) => (
        <path key={index} d={d} fill="var(--quiet)" fillRule="evenodd" />
      ))}
      {tubes.map((d, index) => (
        <path
          key={index}
          d={d}
          fill="var(--ink)"
          stroke="var(--ink)"
          strokeWidth="1"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
