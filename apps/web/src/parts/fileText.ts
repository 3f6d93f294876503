/**
 * A file's text, however it was written: UTF-8, UTF-16 by its mark or by its zero bytes, else as older programs write it
 * (Windows-1252). Source: the WHATWG encoding standard's byte order marks; the rest common practice.
 */
export async function fileText(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const sixteen = sixteenBitOf(bytes);
  if (sixteen) return new TextDecoder(sixteen).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** So many bytes tell how a text is written. */
const LOOKED_AT = 400;

function sixteenBitOf(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | undefined {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return 'utf-16le';
  if (first === 0xfe && second === 0xff) return 'utf-16be';
  // Plain letters have a zero in every second byte; any other text has none at all.
  const some = bytes.subarray(0, LOOKED_AT);
  const zeros = [0, 1].map((at) => some.filter((byte, index) => index % 2 === at && byte === 0).length);
  const half = some.length / 2;
  if (half < 2) return undefined;
  if (zeros[1]! > half * 0.8 && zeros[0]! === 0) return 'utf-16le';
  if (zeros[0]! > half * 0.8 && zeros[1]! === 0) return 'utf-16be';
  return undefined;
}
