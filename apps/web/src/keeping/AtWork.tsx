import { useState } from 'react';
import { toast } from 'sonner';
import { sayWhoIsAtWork, whoIsAtWork } from '../parts/whoIsAtWork';
import { Section } from './Section';

export function AtWork() {
  const [name, setName] = useState(whoIsAtWork().by ?? '');
  const take = () => {
    if (name.trim() === (whoIsAtWork().by ?? '')) return;
    if (!sayWhoIsAtWork(name)) toast('This browser keeps nothing: the name is gone with this page.');
  };
  return (
    <Section
      title="Who is at work"
      about="The name that stands beside your saves in the Log, and that others see when you save. Any name; there are no accounts. It is kept in this browser."
    >
      <label className="block max-w-xs">
        <span className="caption">Name</span>
        <input
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          onBlur={take}
          onKeyDown={(event) => event.key === 'Enter' && take()}
          className="block min-h-8 w-full border border-rule bg-sheet px-2"
        />
      </label>
    </Section>
  );
}
