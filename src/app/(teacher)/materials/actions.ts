'use server';

import { z } from 'zod';
import { MATERIAL_KINDS } from '@/core/materials';
import { archiveMaterial, saveMaterial } from '@/server';
import { teacherAction } from '../../act';
import { flag, ids, typedName } from '../../shapes';

const saved = z.object({
  id: ids.material.nullable(),
  kind: z.enum(MATERIAL_KINDS),
  name: typedName,
  trains: z.string().max(80),
  meter: z.string().max(20).nullable(),
  content: z.record(z.string(), z.unknown()),
});

export const save = teacherAction([saved], saveMaterial, { changes: true });

export const archive = teacherAction([ids.material, flag], archiveMaterial, { changes: true });
