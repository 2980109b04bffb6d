/** Speed, as ratios against a named baseline in the same run. Nothing here passes or fails. */
import { access } from './access';
import { bundles } from './bundles';
import { clicks } from './clicks';
import { coldStart } from './cold-start';
import { engraving } from './engrave';
import { expandAndAnalyse } from './expand';
import { families } from './families';
import { files } from './files';
import { forecasts } from './forecasts';
import { benchFrames } from './frames';
import { makePlacements } from './placements';
import { planning } from './plan';
import { roster } from './roster';
import { verdicts } from './stand';
import { variationScreen } from './variations';
import { walls } from './walls';
import { closeReport, type Row } from './report';

const PARTS: Readonly<Record<string, () => Row[] | Promise<Row[]>>> = {
  expand: expandAndAnalyse,
  families,
  placements: makePlacements,
  roster,
  plan: planning,
  forecasts,
  stand: verdicts,
  frames: benchFrames,
  variations: variationScreen,
  engrave: engraving,
  clicks,
  files,
  start: coldStart,
  bundles,
  access,
  walls,
};

const wanted = process.argv.slice(2);
const rows: Row[] = [];
for (const [name, measure] of Object.entries(PARTS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.log(`measuring: ${name}`);
  rows.push(...(await measure()));
}
closeReport(rows);
