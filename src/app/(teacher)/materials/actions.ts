'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import type { Result } from '@/core/issue';
import { MATERIAL_KINDS } from '@/core/materials';
import { idSchema, type MaterialId } from '@/core/studio';
import { archiveMaterial, saveMaterial } from '@/server';
import { teacherVisit } from '../../viewer';

const saveSchema = z.object({
  id: idSchema<'material'>().nullable(),
  kind: z.enum(MATERIAL_KINDS),
  name: z.string().max(200),
  trains: z.string().max(80),
  meter: z.string().max(20).nullable(),
  content: z.record(z.string(), z.unknown()),
});

export async function save(input: unknown): Promise<Result<{ id: MaterialId; version: number }>> {
  const { context, viewer } = await teacherVisit();
  const saved = saveMaterial(context, viewer, saveSchema.parse(input));
  revalidatePath('/materials');
  return saved;
}

export async function archive(id: unknown, archived: unknown): Promise<Result<null>> {
  const { context, viewer } = await teacherVisit();
  const material = idSchema<'material'>().parse(id);
  const done = archiveMaterial(context, viewer, material, z.boolean().parse(archived));
  revalidatePath('/materials');
  return done;
}
