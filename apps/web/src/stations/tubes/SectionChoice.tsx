import { useMemo } from 'react';
import { SECTION_LIBRARY, sectionLabel, type LengthDisplay } from '@larchwood/core';
import type { Section } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { useShop } from '../../lists/useShop';
import { Choice, type ChoiceGroup } from '../../parts/Choice';

const groupOf = (group: string, sections: readonly Section[], display: LengthDisplay): ChoiceGroup => ({
  group,
  options: sections.map((section) => ({ value: section.id, label: sectionLabel(section, display) })),
});
const libraryFor = (display: LengthDisplay): readonly ChoiceGroup[] =>
  SECTION_LIBRARY.map(({ group, sections }) => groupOf(group, sections, display));
const IN_LIBRARY = new Set(SECTION_LIBRARY.flatMap(({ sections }) => sections.map(({ id }) => id)));

/** A section of the library, one of this build's own, or, where they are wanted, one of the workshop's. */
export function SectionChoice({
  label,
  value,
  onChange,
  className = 'w-full',
  placeholder,
  workshop,
}: {
  readonly label: string;
  readonly value: string;
  /** One that only the workshop knows comes whole, too. */
  readonly onChange: (section: string, whole?: Section) => void;
  /** Those of the workshop are offered, too. */
  readonly workshop?: true;
  readonly className?: string;
  readonly placeholder?: string;
}) {
  const { document } = useEditor('document');
  const { shop } = useShop();
  const own = document.frame.sections.filter(({ id }) => !IN_LIBRARY.has(id));
  const { units } = document;
  const library = useMemo(() => libraryFor(units), [units]);
  const here = new Set(own.map(({ id }) => id));
  const known = workshop ? Object.values(shop.sections).filter(({ id }) => !here.has(id)) : [];
  const named = (group: string, sections: readonly Section[]): readonly ChoiceGroup[] =>
    sections.length === 0 ? [] : [groupOf(group, sections, units)];
  const groups = [...named('In this build', own), ...named('The workshop’s own', known), ...library];
  return (
    <Choice
      label={label}
      value={value}
      groups={groups}
      onChange={(id) =>
        onChange(
          id,
          known.find((each) => each.id === id),
        )
      }
      className={className}
      {...(placeholder === undefined ? {} : { placeholder })}
    />
  );
}
