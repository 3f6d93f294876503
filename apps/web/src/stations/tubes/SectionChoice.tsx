import { useMemo } from 'react';
import { SECTION_LIBRARY, sectionLabel, type LengthDisplay } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Choice, type ChoiceGroup } from '../../parts/Choice';

const libraryFor = (display: LengthDisplay): readonly ChoiceGroup[] =>
  SECTION_LIBRARY.map(({ group, sections }) => ({
    group,
    options: sections.map((section) => ({ value: section.id, label: sectionLabel(section, display) })),
  }));
const IN_LIBRARY = new Set(SECTION_LIBRARY.flatMap(({ sections }) => sections.map(({ id }) => id)));

/** A section of the library, or one of this build's own. */
export function SectionChoice({
  label,
  value,
  onChange,
  className = 'w-full',
  placeholder,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (section: string) => void;
  readonly className?: string;
  readonly placeholder?: string;
}) {
  const { document } = useEditor('document');
  const own = document.frame.sections.filter(({ id }) => !IN_LIBRARY.has(id));
  const { units } = document;
  const library = useMemo(() => libraryFor(units), [units]);
  const groups =
    own.length > 0
      ? [
          { group: 'In this build', options: own.map(({ id, name }) => ({ value: id, label: name })) },
          ...library,
        ]
      : library;
  return (
    <Choice
      label={label}
      value={value}
      groups={groups}
      onChange={onChange}
      className={className}
      {...(placeholder === undefined ? {} : { placeholder })}
    />
  );
}
