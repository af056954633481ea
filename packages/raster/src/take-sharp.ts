/** The library for pictures, taken when one is looked at: most documents have none to scale. */
import type sharp from 'sharp';

export const takeSharp = async (): Promise<typeof sharp> => (await import('sharp')).default;
