/** Lengths and their conversions: English Metric Units (ECMA-376-1 §20.1.10.16) and typographic points. */

/** A length in English Metric Units, whole; 914,400 to the inch. */
export type Emu = number & { readonly unit: 'emu' };
/** A type size or length in points; 72 to the inch. */
export type Pt = number & { readonly unit: 'pt' };

export const EMU_PER_POINT = 12_700;
const EMU_PER_INCH = 914_400;

export const emu = (value: number): Emu => Math.round(value) as Emu;
export const pt = (value: number): Pt => value as Pt;
export const inches = (value: number): Emu => emu(value * EMU_PER_INCH);
export const emuFromPt = (value: number): Emu => emu(value * EMU_PER_POINT);
export const ptFromEmu = (value: number): Pt => (value / EMU_PER_POINT) as Pt;
