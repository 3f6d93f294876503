import type { TSchema } from '@sinclair/typebox';
import { BuildSchema, RiderSchema, WheelSchema } from './buildSchema.js';
import { PaperSchema, ProfileSchema } from './fixtureSchema.js';
import { HoleSchema, MemberSchema, NodeSchema, PlainEndSchema } from './frameSchema.js';
import { RoundSectionSchema } from './sectionSchema.js';
import { coordinate } from './parts.js';
import { LumpSchema, ScalesSchema, SeatSchema } from './seatSchema.js';

/** The least and the most that the format takes of a number; mm, degrees, kg or a count, as the schema says. */
export type Limits = readonly [least: number, most: number];

const limitsOf = ({ minimum, maximum }: TSchema): Limits => [minimum as number, maximum as number];

const { stature, mass, inseam, thigh } = RiderSchema.properties;
const [byMarking, byDiameter, byRollOut] = WheelSchema.anyOf;
const { gaps, lock, statures, legSlide } = SeatSchema.properties;
const { brief, frame } = BuildSchema.properties;
const anchors = NodeSchema.properties.anchor.anyOf;
const [, onMember] = anchors;
const parallel = anchors[8];
const { scales, stock } = ProfileSchema.properties;
const scale = scales.patternProperties[Object.keys(scales.patternProperties)[0]!]!.properties;
const shelved = stock.patternProperties[Object.keys(stock.patternProperties)[0]!]!.items.properties;

/** Limits of the numbers that forms and requests take, read from the schema: it is the one place that says them. */
export const LIMITS = {
  coordinate: limitsOf(coordinate),
  rider: {
    stature: limitsOf(stature),
    mass: limitsOf(mass),
    inseam: limitsOf(inseam),
    segment: limitsOf(thigh),
  },
  wheel: {
    sag: limitsOf(byMarking.properties.sag),
    diameter: limitsOf(byDiameter.properties.diameter),
    rollOut: limitsOf(byRollOut.properties.circumference),
    width: limitsOf(byDiameter.properties.width),
  },
  shelfBox: limitsOf(brief.properties.shelf.items.properties.box.items![0]!),
  ruleLimit: limitsOf(brief.properties.limits.items.properties.value),
  gaps: {
    tyre: limitsOf(gaps.properties.tyre),
    rider: limitsOf(gaps.properties.rider),
    metal: limitsOf(gaps.properties.metal),
  },
  lock: limitsOf(lock),
  statures: limitsOf(statures.items![0]!),
  slide: limitsOf(legSlide.items![0]!),
  lump: { mass: limitsOf(LumpSchema.properties.mass), box: limitsOf(LumpSchema.properties.box.items![0]!) },
  weighing: {
    load: limitsOf(Object.values(ScalesSchema.properties.level.patternProperties)[0]!),
    raisedBy: limitsOf(ScalesSchema.properties.raised.properties.by),
  },
  section: {
    outer: limitsOf(RoundSectionSchema.properties.diameter),
    wall: limitsOf(RoundSectionSchema.properties.wall),
  },
  bendRadius: limitsOf(MemberSchema.properties.bends.items.properties.radius),
  turn: limitsOf(MemberSchema.properties.turn),
  allowance: limitsOf(PlainEndSchema.properties.allowance),
  alongMember: limitsOf(onMember.properties.distance),
  apart: limitsOf(parallel.properties.distance),
  scale: {
    zero: limitsOf(scale.zero),
    step: limitsOf(scale.step),
    reading: limitsOf(scale.low),
    tolerance: limitsOf(scale.tolerance),
  },
  stock: { size: limitsOf(shelved.size), count: limitsOf(shelved.count) },
  paper: {
    thickness: limitsOf(PaperSchema.properties.thickness),
    rollWidth: limitsOf(PaperSchema.properties.rollWidth),
    overlap: limitsOf(PaperSchema.properties.overlap),
    printer: limitsOf(PaperSchema.properties.printer.properties.x),
  },
} as const;

const { distance, face, off, diameter, slot, axle, between, sleeve, circle } = HoleSchema.properties;
export const HOLE_LIMITS = {
  distance: limitsOf(distance),
  face: limitsOf(face),
  off: limitsOf(off),
  diameter: limitsOf(diameter),
  slot: limitsOf(slot),
  axle: limitsOf(axle),
  between: limitsOf(between),
  sleeve: limitsOf(sleeve),
  circle: limitsOf(circle.properties.diameter),
  bolt: limitsOf(circle.properties.hole),
} as const;

/** Most characters of the texts that people type. */
export const LONGEST = {
  name: BuildSchema.properties.name.maxLength!,
  notes: BuildSchema.properties.notes.maxLength!,
  purpose: brief.properties.purpose.maxLength!,
  rule: brief.properties.limits.items.properties.rule.maxLength!,
  marking: byMarking.properties.marking.maxLength!,
  member: frame.properties.members.items.properties.name.maxLength!,
} as const;
