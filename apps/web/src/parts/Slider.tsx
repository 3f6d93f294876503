/** A range to slide in, with its name and what it stands at in words. */
export function Slider({
  name,
  value,
  range: [least, most, step],
  text,
  onChange,
}: {
  readonly name: string;
  readonly value: number;
  readonly range: readonly [least: number, most: number, step: number];
  readonly text: string;
  readonly onChange: (value: number) => void;
}) {
  return (
    <label className="flex items-center gap-2">
      <span className="caption">{name}</span>
      <input
        type="range"
        className="w-32 accent-larch"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={text}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      <span className="figure w-24 text-[13px]">{text}</span>
    </label>
  );
}
