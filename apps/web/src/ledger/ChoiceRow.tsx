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
}: {
  readonly name: string;
  /** Read out, where the name alone does not say it. */
  readonly label?: string;
  readonly value: string;
  readonly options: ChoiceGroup['options'];
  readonly onChange: (value: string) => void;
  readonly placeholder?: string;
}) {
  return (
    <Row name={name}>
      <Choice
        label={label}
        value={value}
        className="max-w-52"
        groups={[{ options }]}
        onChange={onChange}
        {...(placeholder === undefined ? {} : { placeholder })}
      />
    </Row>
  );
}
