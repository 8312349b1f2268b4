/** Measures a banded picture: each band is a step, read where the print says it lies. */
import { surenessOf } from '../capture/calibrate';
import { photoBox } from '../capture/check-photo';
import { GATE, issue, refuses } from '../capture/gate';
import { type Expected, type KnownCard, openSheet } from '../capture/open-sheet';
import { bandPicture } from '../bands/band-picture';
import type { TermsOf } from '../exercise/terms';
import type { Photo } from '../raster/photo';
import { pictureLayout } from '../sheet/picture-layout';
import { backgroundSpread } from './background-spread';
import { readBands } from './band-cells';
import { CALIBRATED, cornersOf, outsideIssues } from './capture-facts';
import { compareScale, nothingRead, type ReadStep } from './compare';
import { LIMITS, targetsFor } from './flags';
import type { MeasureTools } from './measure';
import type { CellReading } from './read-cell';
import type { Capture, ScaleResult } from './result';
import { shineStrength } from './shine';

export interface BandsRequest {
  readonly terms: TermsOf<'bands'>;
  readonly expected: Expected;
  readonly card?: KnownCard;
}

export async function measureBands(photo: Photo, { terms, expected, card }: BandsRequest, tools: MeasureTools): Promise<ScaleResult> {
  tools.onStage?.('finding the sheet');
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) => pictureLayout(paper, 1, terms.steps),
      expected,
      check: (tag) => (tag.kind === 'bands' && tag.steps === terms.steps ? null : issue('wrong_sheet', 1, `This is not the sheet with ${terms.steps} bands: photograph the sheet of this exercise.`)),
      onFound: () => tools.onStage?.('reading its greys'),
      ...(card && { card }),
    },
    tools,
  );
  const { located, tag } = opened;
  const corners = located && cornersOf(located.plane, located.frame.widthMm, located.frame.heightMm);
  const base = { ...CALIBRATED, whiteBasis: card?.basis ?? 'nominal', target: located ? ('sheet' as const) : null, tag, corners } satisfies Partial<Capture>;
  if (opened.kind === 'refused') return nothingRead({ ...base, issues: opened.issues });
  const { layout, calibration, issues } = opened;
  tools.onStage?.('reading the steps');
  const frame = layout.cells[0];
  if (!frame) throw new Error('The sheet of bands has no frame.');
  const inOrder = targetsFor(terms, []);
  const lightFirst = terms.order === 'light-first';
  const targets = lightFirst ? inOrder : [...inOrder].reverse();
  const { bands, silhouette } = readBands(photo, calibration, frame, bandPicture(terms), targets, terms.silhouettes === 'own');
  const hidden = bands.flatMap((b, i) => (b ? [] : [i + 1]));
  if (hidden.length > 0)
    return nothingRead({ ...base, issues: [...issues, issue('wrong_sheet', hidden.length, `So little shows of band ${hidden.join(', ')} that it can’t be read: leave more of it free of what stands in front.`, photoBox(opened.located.plane, frame))] });
  const readings = (lightFirst ? bands : [...bands].reverse()) as CellReading[];
  const shine = Math.max(...readings.map(shineStrength));
  if (shine > GATE.glare.limit && !issues.some((i) => i.code === 'clipped'))
    issues.push(issue('glare', shine, 'Shine lies on the picture: turn the sheet away from the lamp until it leaves the paint.', photoBox(opened.located.plane, frame)));
  tools.onStage?.('comparing');
  const grain = backgroundSpread(photo, calibration);
  const read = readings.map((reading): ReadStep => ({ reading, sureness: surenessOf(calibration, reading.lab[0]), grain: grain(reading.lab[0]) }));
  issues.push(...outsideIssues(read));
  const result = compareScale(terms, read, { ...base, colour: 'assumed', accepted: !refuses(issues), issues });
  if (!silhouette) return result;
  const spread = Math.sqrt(Math.max(0, silhouette.spread ** 2 - grain(silhouette.lab[0]) ** 2));
  const bare = silhouette.bareGround ?? 0;
  const solid = spread <= LIMITS.streaky && bare <= LIMITS.bareGround && silhouette.lab[0] <= Math.min(...targets) + LIMITS.weakBlack;
  return { ...result, silhouette: { lightness: silhouette.lab[0], spread, bareGround: silhouette.bareGround, solid } };
}
