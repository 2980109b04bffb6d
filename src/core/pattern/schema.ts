import * as z from 'zod/mini';
import { DYNAMICS, ORNAMENTS } from './stroke';

export const dynamicSchema = z.enum(DYNAMICS);
export const ornamentSchema = z.enum(ORNAMENTS);
