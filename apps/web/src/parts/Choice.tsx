import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';

export interface ChoiceGroup {
  readonly group?: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}
interface Props {
  readonly label: string;
  readonly value: string;
  readonly groups: readonly ChoiceGroup[];
  readonly onChange: (value: string) => void;
  readonly className?: string;
  readonly id?: string;
  /** Shown while nothing is chosen, as in a list of what can be added. */
  readonly placeholder?: string;
  /** Shown, and not to be changed: why. */
  readonly fixed?: string | undefined;
}

/** A list to pick one from. */
export function Choice({ label, value, groups, onChange, className = '', id, placeholder, fixed }: Props) {
  return (
    <Select.Root value={value} onValueChange={onChange} disabled={fixed !== undefined}>
      <Select.Trigger
        id={id}
        aria-label={label}
        title={fixed}
        className={`inline-flex min-h-8 items-center justify-between gap-2 border px-2 text-left ${fixed === undefined ? 'border-rule bg-sheet hover:border-ink' : 'border-transparent'} ${className}`}
      >
        <span className="min-w-0 truncate">
          <Select.Value placeholder={placeholder} />
        </span>
        {fixed === undefined && <ChevronDown size={14} aria-hidden className="shrink-0" />}
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-[min(22rem,var(--radix-select-content-available-height))] max-w-[24rem] min-w-(--radix-select-trigger-width) overflow-hidden border border-ink bg-sheet"
        >
          <Select.Viewport>
            {groups.map(({ group, options }) => (
              <Select.Group key={group ?? ''}>
                {group !== undefined && (
                  <Select.Label className="caption px-2 pt-2 pb-1">{group}</Select.Label>
                )}
                {options.map((option) => (
                  <Select.Item
                    key={option.value}
                    value={option.value}
                    className="flex min-h-8 items-center justify-between gap-3 px-2 outline-none data-[highlighted]:bg-larch-wash"
                  >
                    <Select.ItemText>{option.label}</Select.ItemText>
                    <Select.ItemIndicator>
                      <Check size={14} aria-hidden />
                    </Select.ItemIndicator>
                  </Select.Item>
                ))}
              </Select.Group>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
