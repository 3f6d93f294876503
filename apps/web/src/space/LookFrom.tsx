import { Choice } from '../parts/Choice';
import { STANDPOINTS, type Standpoint } from './Stage';

/** From where a view in space is looked at. */
export function LookFrom({
  value,
  onChange,
}: {
  readonly value: Standpoint;
  readonly onChange: (standpoint: Standpoint) => void;
}) {
  return (
    <Choice
      label="Look from"
      value={value}
      groups={[
        { options: Object.entries(STANDPOINTS).map(([id, { name }]) => ({ value: id, label: name })) },
      ]}
      onChange={(next) => onChange(next as Standpoint)}
      className="w-30"
    />
  );
}
