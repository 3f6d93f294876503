/** A segment of a rider that can be measured. */
interface SegmentWords {
  readonly name: string;
  /** From where to where it is measured. */
  readonly span: string;
}

/** The measured segments of a rider, in the order in which they are asked for: schema, requests and forms read them here. */
export const SEGMENTS = {
  thigh: { name: 'Thigh', span: 'hip joint to knee' },
  shank: { name: 'Shank', span: 'knee to ankle' },
  ankleHeight: { name: 'Ankle height', span: 'ankle above the sole' },
  trunk: { name: 'Trunk', span: 'hip joint to shoulder joint' },
  upperArm: { name: 'Upper arm', span: 'shoulder to elbow' },
  forearm: { name: 'Forearm', span: 'elbow to wrist' },
} as const satisfies Readonly<Record<string, SegmentWords>>;
export type Segment = keyof typeof SEGMENTS;
export const SEGMENT_IDS = Object.keys(SEGMENTS) as Segment[];
