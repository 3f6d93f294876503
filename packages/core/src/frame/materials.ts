/** Density kg/m3, Young's modulus and yield MPa. Usual values, from memory; mill certificates go before them. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly density: number;
  readonly youngsModulus: number;
  readonly yield: number;
  readonly note?: string;
}

const OWN_PROCEDURE = 'Joints in this metal need their own procedure: qualify it before use.';

export const MATERIALS: readonly Material[] = [
  { id: 'mild-steel', name: 'Mild steel', density: 7850, youngsModulus: 205000, yield: 235 },
  { id: 'chromoly-4130', name: 'Chromoly, 4130 class', density: 7850, youngsModulus: 205000, yield: 435 },
  { id: 'dom-1020', name: 'DOM tube, 1020', density: 7850, youngsModulus: 205000, yield: 415 },
  { id: 'stainless-304', name: 'Stainless, 304', density: 8000, youngsModulus: 193000, yield: 215 },
  {
    id: 'aluminium-6061',
    name: 'Aluminium, 6061-T6',
    density: 2700,
    youngsModulus: 68900,
    yield: 276,
    note: OWN_PROCEDURE,
  },
  {
    id: 'titanium-3-2.5',
    name: 'Titanium, 3Al-2.5V',
    density: 4480,
    youngsModulus: 100000,
    yield: 485,
    note: OWN_PROCEDURE,
  },
];

export const findMaterial = (id: string): Material | undefined =>
  MATERIALS.find((material) => material.id === id);
