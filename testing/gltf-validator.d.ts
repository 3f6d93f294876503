declare module 'gltf-validator' {
  /** What the validator says of a binary glTF; severities from 0, an error, to 3, a hint. */
  export function validateBytes(bytes: Uint8Array): Promise<{
    readonly issues: {
      readonly numErrors: number;
      readonly numWarnings: number;
      readonly messages: readonly { readonly code: string; readonly severity: number }[];
    };
  }>;
}
