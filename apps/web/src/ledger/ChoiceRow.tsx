import { NOT_HERE, useMayChange } from '../door/useMayType';
import { Choice, type ChoiceGroup } from '../parts/Choice';
import { Row } from './Panel';

/** A row of the ledger with a list to pick one from. */
export function ChoiceRow({
  name,
  label = name,
  value,
  options,
  onChange,
  placeholder,
  changes = true,
}: {
  readonly name: string;
  /** Read out, where the name alone does not say it. */
  readonly label?: string;
  readonly value: string;
  readonly options: ChoiceGroup['options'];
  readonly onChange: (value: string) => void;
  readonly placeholder?: string;
  /** Whether it changes the build; a way of looking, and what the bench writes, is anybody's. */
  readonly changes?: boolean;
}) {
  const may = useMayChange() || !changes;
  return (
    <Row name={name}>
      <Choice
        label={label}
        value={value}
        className="max-w-52"
        groups={[{ options }]}
        onChange={onChange}
        fixed={may ? undefined : NOT_HERE}
        {...(placeholder === undefined ? {} : { placeholder })}
      />
    </Row>
  );
}
