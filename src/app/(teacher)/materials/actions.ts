'use server';

import * as z from 'zod/mini';
import { text } from '@/core/shape';
import { MATERIAL_KINDS } from '@/core/materials';
import { archiveMaterial, saveMaterial } from '@/server';
import { teacherAction } from '../../act';
import { flag, ids, typedName } from '../../shapes';

const saved = z.object({
  id: z.nullable(ids.material),
  kind: z.enum(MATERIAL_KINDS),
  name: typedName,
  trains: text(80),
  meter: z.nullable(text(20)),
  content: z.record(z.string(), z.unknown()),
});

export const save = teacherAction([saved], saveMaterial, { changes: true });

export const archive = teacherAction([ids.material, flag], archiveMaterial, { changes: true });
