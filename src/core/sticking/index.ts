export { compositeReadings } from './composite';
export { fittings, nextLead } from './fit';
export { limbsOfLetter, looksSticking, mirrorLetters, ornamentMark, parsePhrase } from './parse';
export { stickingLayer, stickingStart, saySlot, typedSticking } from './play';
export { stickingSchema } from './sticking-schema';
export type { CompositeReading } from './composite';
export type { Lead } from './fit';
export type { StickingSlot } from './parse';
export type { Sticking } from './sticking-schema';
