import { cutListCsv } from '../lists/cutList.js';
import { noTubes, type Output } from './output.js';

export const cutList: Output = {
  id: 'cut-list',
  title: 'Cut list, CSV',
  group: 'frame',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'cut-list',
  refuse: noTubes,
  make: ({ document, plan }) => cutListCsv(plan, document.units),
};

/** The frame as solids, each piece as it is cut. What writes it is loaded when one is made. */
export const frameInSpace: Output = {
  id: 'frame-gltf',
  title: 'Frame in space, glTF',
  group: 'frame',
  mediaType: 'model/gltf-binary',
  suffix: 'glb',
  name: () => 'frame',
  refuse: noTubes,
  make: async ({ document, plan }) => (await import('../solids/gltf.js')).frameGltf(plan, document.name),
};

export const frameMesh: Output = {
  id: 'frame-stl',
  title: 'Frame in space, STL in mm',
  group: 'frame',
  mediaType: 'model/stl',
  suffix: 'stl',
  name: () => 'frame',
  refuse: noTubes,
  make: async ({ document, plan }) => (await import('../solids/stl.js')).frameStl(plan, document.name),
};
