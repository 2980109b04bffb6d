import { fail, misfitsOf, ok, unreachable, type Issue, type Result } from '@/core/issue';
import {
  heldSchema,
  laneSlots,
  type Held,
  type Material,
  type MaterialKind,
} from '@/core/materials';
import { parseSticking } from '@/core/pattern';
import { gradeLine, parseLine } from '@/core/reading';
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
  const held = heldSchema.parse(row);
  return { ...row, ...held, own: true, grade: gradeOf(held, row.meter) };
}

function gradeOf(held: Held, meterText: string | null): number | null {
  if (held.kind !== 'line' || meterText === null) return null;
  const meter = parseMeter(meterText);
  if (!meter.ok) return null;
  const line = parseLine(held.content.text, meter.value);
  return line.ok ? gradeLine(line.value) : null;
}

/** Saves a material: a new version of the one with this id, or a new one.
 * @param first number of the first version of a new one: one that came from elsewhere goes on there
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
  first = 1,
): Result<{ id: MaterialId; version: number }> {
  const name = readName(input.name, WHAT);
  if (!name.ok) return name;
  const named = { ...(input.content as object), name: name.value };
  const held = readHeld(input.kind, named, input.meter);
  if (!held.ok) return held;
  const found = input.id && me.store.materials.find(input.id);
  if (input.id && !found) return fail({ code: 'not-found', path: ['id'], what: WHAT });
  if (found && found.kind !== input.kind) {
    return fail({ code: 'not-found', path: ['id'], what: input.kind });
  }
  const id = found ? found.id : newId<'material'>(me);
  const version = found ? found.version + 1 : first;
  me.store.together(() => {
    if (!found) {
      me.store.materials.insert({ id, kind: input.kind });
    }
    me.store.materials.addVersion({
      materialId: id,
      version,
      name: name.value,
      content: held.value.content,
      trains: input.trains.trim(),
      meter: input.meter,
      madeAt: me.now(),
    });
  });
  return ok({ id, version });
}

/** Checks the shape, then what it says. */
function readHeld(kind: MaterialKind, content: unknown, meter: string | null): Result<Held> {
  const shaped = heldSchema.safeParse({ kind, content });
  if (!shaped.success) {
    const [first] = shaped.error.issues.map((one) => ({ ...one, path: one.path.slice(1) }));
    const misfits = misfitsOf(first ? [first] : []);
    return fail({ code: 'recipe-shape', path: ['content'], misfits });
  }
  const issues = issuesOf(shaped.data, meter);
  return issues.length > 0 ? fail(...issues) : ok(shaped.data);
}

function issuesIn(result: Result<unknown>): readonly Issue[] {
  return result.ok ? [] : result.issues;
}

function issuesOf({ kind, content }: Held, meter: string | null): readonly Issue[] {
  switch (kind) {
    case 'ostinato':
      return [
        ...issuesIn(parseMeter(content.meter)),
        ...content.lanes.flatMap((lane, index) => issuesIn(laneSlots(lane, ['lanes', index]))),
      ];
    case 'line': {
      const read = parseMeter(meter ?? '4/4');
      if (!read.ok) return read.issues;
      return issuesIn(parseLine(content.text, read.value, ['text']));
    }
    case 'sticking':
      return issuesIn(parsePhrase(content.sticking, content.slot, ['sticking']));
    case 'cells':
      return Object.entries(content.cells).flatMap(([gap, cell]): readonly Issue[] => {
        const path = ['cells', gap];
        const read = parseSticking(cell, path);
        if (!read.ok) return read.issues;
        if (cell.length === Number(gap)) return [];
        return [{ code: 'cell-length', path, gap: Number(gap), sticking: cell }];
      });
    case 'rules':
    case 'kit':
      return [];
    default:
      return unreachable(kind);
  }
}

/** Takes a material off the shelf, or puts it back; exercises that use it keep it. */
export function archiveMaterial(me: Teacher, id: MaterialId, archived: boolean): Result<null> {
  if (!me.store.materials.find(id)) {
    return fail({ code: 'not-found', path: ['id'], what: WHAT });
  }
  me.store.materials.setArchived(id, archived ? me.now() : null);
  return ok(null);
}
