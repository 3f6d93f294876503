import type { Plan } from '@larchwood/core';
import { BufferAttribute, BufferGeometry, Group, Mesh } from 'three';
import { STLExporter } from 'three/addons/exporters/STLExporter.js';
import { meshesOf } from './meshes.js';

/** Free text at the head of a binary STL, bytes. It must not begin with "solid", which marks the text form. */
const HEADER = 80;

/** The whole frame as binary STL, mm, z up; named at its head. */
export function frameStl(plan: Plan, name: string, every = 5): Uint8Array {
  const frame = new Group();
  for (const { mesh } of meshesOf(plan, every)) {
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
    geometry.setIndex(new BufferAttribute(mesh.indices, 1));
    frame.add(new Mesh(geometry));
  }
  const { buffer } = new STLExporter().parse(frame, { binary: true });
  const bytes = new Uint8Array(buffer);
  new TextEncoder().encodeInto(`Larchwood ${name}`, bytes.subarray(0, HEADER));
  return bytes;
}
