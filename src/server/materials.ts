import { fail, misfitsOf, ok, type Issue, type Result } from '@/core/issue';
import {
  laneSlots,
  type Material,
  type MaterialContents,
  type MaterialKind,
} from '@/core/materials';
import { parseSticking } from '@/core/pattern';
import { gradeLine, parseLine } from '@/core/reading';
import { materialSchemas } from '@/core/recipe';
import { parsePhrase } from '@/core/sticking';
import type { MaterialId } from '@/core/studio';
import { parseMeter } from '@/core/time';
import type { StoredMaterial } from '@/db';
import type { Teacher } from './authority';
import { newId } from './context';
import { readName } from './names';

const WHAT = 'material';

/** The studio's own materials in their latest version, archived ones too, latest first. */
export function listMaterials(me: Teacher): Result<readonly Material[]> {
  return ok(me.store.materials.list().map(materialOf));
}

function materialOf(row: StoredMaterial): Material {
  const content = materialSchemas[row.kind].parse(row.content);
  return { ...row, content, own: true, grade: gradeOf(row.kind, content, row.meter) } as Material;
}

function gradeOf(kind: MaterialKind, content: unknown, meterText: string | null): number | null {
  if (kind !== 'line' || meterText === null) return null;
  const meter = parseMeter(meterText);
  if (!meter.ok) return null;
  const line = parseLine((content as MaterialContents['line']).text, meter.value);
  return line.ok ? gradeLine(line.value) : null;
}

/** Saves a material: a new version of the one with this id, or a new one.
 * @returns issues of its content: a grid, line, sticking, cell or rule that cannot be read */
export function saveMaterial(
  me: Teacher,
  input: {
    id: MaterialId | null;
    kind: MaterialKind;
    name: string;
    trains: string;
    meter: string | null;
    content: unknown;
  },
): Result<{ id: MaterialId; version: number }> {
  const name = readName(input.name, WHAT);
  if (!name.ok) return name;
  const named = { ...(input.content as object), name: name.value };
  const content = readContent(input.kind, named, input.meter);
  if (!content.ok) return content;
  const found = input.id && me.store.materials.find(input.id);
  if (input.id && !found) return fail({ code: 'not-found', path: ['id'], what: WHAT });
  if (found && found.kind !== input.kind) {
    return fail({ code: 'not-found', path: ['id'], what: input.kind });
  }
  const id = found ? found.id : newId<'material'>(me);
  const version = (found?.version ?? 0) + 1;
  me.store.together(() => {
    if (!found) {
      me.store.materials.insert({ id, kind: input.kind });
    }
    me.store.materials.addVersion({
      materialId: id,
      version,
      name: name.value,
      content: content.value,
      trains: input.trains.trim(),
      meter: input.meter,
      madeAt: me.now(),
    });
  });
  return ok({ id, version });
}

/** Checks the shape, then what it says. */
function readContent(kind: MaterialKind, json: unknown, meter: string | null): Result<unknown> {
  const shaped = materialSchemas[kind].safeParse(json);
  if (!shaped.success) {
    const misfits = misfitsOf(shaped.error.issues.slice(0, 1));
    return fail({ code: 'recipe-shape', path: ['content'], misfits });
  }
  const issues = issuesOf(kind, shaped.data as never, meter);
  return issues.length > 0 ? fail(...issues) : ok(shaped.data);
}

function issuesOf<K extends MaterialKind>(
  kind: K,
  content: MaterialContents[K],
  meter: string | null,
): readonly Issue[] {
  const issuesIn = (result: Result<unknown>) => (result.ok ? [] : result.issues);
  if (kind === 'ostinato') {
    const { lanes, meter: own } = content as MaterialContents['ostinato'];
    return [
      ...issuesIn(parseMeter(own)),
      ...lanes.flatMap((lane, index) => issuesIn(laneSlots(lane, ['lanes', index]))),
    ];
  }
  if (kind === 'line') {
    const read = parseMeter(meter ?? '4/4');
    if (!read.ok) return read.issues;
    return issuesIn(parseLine((content as MaterialContents['line']).text, read.value, ['text']));
  }
  if (kind === 'sticking') {
    const { sticking, slot } = content as MaterialContents['sticking'];
    return issuesIn(parsePhrase(sticking, slot, ['sticking']));
  }
  if (kind === 'cells') {
    return Object.entries((content as MaterialContents['cells']).cells).flatMap(
      ([gap, cell]): readonly Issue[] => {
        const read = parseSticking(cell, ['cells', gap]);
        if (!read.ok) return read.issues;
        if (cell.length === Number(gap)) return [];
        const path = ['cells', gap];
        return [{ code: 'cell-length', path, gap: Number(gap), sticking: cell }];
      },
    );
  }
  return [];
}

/** Takes a material off the shelf, or puts it back; exercises that use it keep it. */
export function archiveMaterial(me: Teacher, id: MaterialId, archived: boolean): Result<null> {
  if (!me.store.materials.find(id)) {
    return fail({ code: 'not-found', path: ['id'], what: WHAT });
  }
  me.store.materials.setArchived(id, archived ? me.now() : null);
  return ok(null);
}
