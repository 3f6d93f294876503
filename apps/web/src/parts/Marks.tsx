/** The peg that holds a dimension: a turned head on a pin. A following dimension has a plain stroke instead. */
export function Peg({ held, size = 15 }: { readonly held: boolean; readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      aria-hidden
      className={held ? 'text-spruce' : 'text-quiet'}
    >
      {held ? (
        <>
          <circle cx="8" cy="5" r="4" fill="currentColor" />
          <path d="M8 9v6" stroke="currentColor" strokeWidth="2" />
        </>
      ) : (
        <path d="M5 4l4 4-4 4" stroke="currentColor" strokeWidth="1.5" fill="none" />
      )}
    </svg>
  );
}

/** The mark of the application: a larch. */
export function Larch({ size = 24 }: { readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinecap="square"
      aria-hidden
      className="text-larch"
    >
      <path d="M12 2v20M12 4 7.500 8.500M12 4l4.500 4.500M12 9l-6 6M12 9l6 6M12 14.500 4.500 20M12 14.500 19.500 20" />
    </svg>
  );
}
