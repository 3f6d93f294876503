import { Document, WebIO } from '@gltf-transform/core';
import type { Plan } from '@larchwood/core';
import { meshesOf } from './meshes.js';

/** Grey of bare tube, and of plate, linear. */
const COLOURS = { tube: [0.45, 0.47, 0.45, 1], plate: [0.1, 0.15, 0.2, 1] } as const;

/**
 * The whole frame as binary glTF 2.0: one named node for each piece. glTF is in metres with y up and z towards the viewer,
 * so x goes forward, up is y, and the vehicle's left is at negative z.
 */
export async function frameGltf(plan: Plan, name: string, every = 5): Promise<Uint8Array> {
  const document = new Document();
  document.getRoot().getAsset().generator = 'Larchwood';
  const buffer = document.createBuffer();
  const scene = document.createScene(name);
  const materials = {
    tube: document
      .createMaterial('tube')
      .setBaseColorFactor([...COLOURS.tube])
      .setMetallicFactor(0.6)
      .setRoughnessFactor(0.5),
    plate: document
      .createMaterial('plate')
      .setBaseColorFactor([...COLOURS.plate])
      .setMetallicFactor(0.6)
      .setRoughnessFactor(0.5),
  };
  for (const { mark, name: piece, sort, mesh } of meshesOf(plan, every)) {
    const accessor = (type: 'VEC3' | 'SCALAR', array: Float32Array | Uint32Array) =>
      document
        .createAccessor()
        .setType(type)
        .setArray(array as Float32Array<ArrayBuffer>)
        .setBuffer(buffer);
    const primitive = document
      .createPrimitive()
      .setAttribute('POSITION', accessor('VEC3', turned(mesh.positions, 0.001)))
      .setAttribute('NORMAL', accessor('VEC3', turned(mesh.normals, 1)))
      .setIndices(accessor('SCALAR', mesh.indices))
      .setMaterial(materials[sort]);
    const solid = document.createMesh(`${mark} ${piece}`).addPrimitive(primitive);
    scene.addChild(document.createNode(`${mark} ${piece}`).setMesh(solid));
  }
  return new WebIO().writeBinary(document);
}

/** From z up to y up, which keeps the sense of turning. */
function turned(values: Float32Array, factor: number): Float32Array {
  const result = new Float32Array(values.length);
  for (let at = 0; at < values.length; at += 3) {
    result[at] = values[at]! * factor;
    result[at + 1] = values[at + 2]! * factor;
    result[at + 2] = -values[at + 1]! * factor;
  }
  return result;
}
