/** Opens the photograph of a painting: finds what it is framed by, and how its codes become light. */
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { pictureLayout } from '../sheet/picture-layout';
import { type Calibration } from './calibration';
import { surenessOf } from './sureness';
import { CALIBRATED, cornersOf } from './capture-facts';
import { blurOf } from './edges';
import type { Capture } from './capture-result';
import { type CaptureIssue, issue } from './gate';
import { openFree } from './open-free';
import { type Expected, type KnownCard, openSheet } from './open-sheet';
import { settledTarget, type Target } from './target';
import { type MeasureTools } from './tools';

/** How a painting is framed, and what is known of the print beside it. */
export interface Framing {
  readonly expected: Expected;
  /** Kinds whose sheets may stand for the one that is expected; any unless said. */
  readonly sheetKinds?: readonly string[];
  /** A worksheet unless said. */
  readonly target?: Target;
  readonly card?: KnownCard;
  readonly lineMm?: number;
  /** Whether its colours are asked for too: its sheet has coloured patches then. */
  readonly coloured?: boolean;
}

export interface OpenedPainting {
  readonly base: Omit<Capture, 'accepted' | 'issues' | 'uncertainty'>;
  readonly issues: CaptureIssue[];
  /** Null where nothing can be read. */
  readonly found: {
    readonly calibration: Calibration;
    readonly box: BoxMm;
    readonly relative: boolean;
    /** From dark to light across an edge that was printed hard; null where nothing printed is in the picture. */
    readonly blurMm: number | null;
    readonly uncertainty: (lightness: number) => number;
  } | null;
}

/** Throws BadCorners and WrongCard on what was given beside the photograph. */
export async function openPainting(photo: Photo, request: Framing, tools: MeasureTools): Promise<OpenedPainting> {
  const target = settledTarget(photo, request.target, tools);
  const { card, lineMm } = request;
  if (target.kind !== 'sheet') {
    const opened = openFree(
      photo,
      target,
      { ...(card && { card }), ...(lineMm !== undefined && { lineMm }) },
      tools.cv,
    );
    if (opened.kind === 'refused') return { base: opened.base, issues: opened.issues, found: null };
    const { calibration, box, relative, blurMm, sureness } = opened;
    return {
      base: opened.base,
      issues: opened.issues,
      found: { calibration, box, relative, blurMm, uncertainty: (l) => sureness(l).whole },
    };
  }
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) => pictureLayout(paper, { hue: request.coloured ?? false }),
      expected: request.expected,
      check: (tag) =>
        (request.sheetKinds?.includes(tag.kind) ?? true)
          ? null
          : issue(
              'wrong_sheet',
              1,
              'This is the sheet of another kind of exercise: photograph the sheet with the one empty frame.',
            ),
      onFound: () => tools.onStage?.('reading its greys'),
      ...(card && { card }),
    },
    tools,
  );
  const { located, tag } = opened;
  const corners = located && cornersOf(located.plane, located.frame.widthMm, located.frame.heightMm);
  const measured = opened.kind === 'open' && opened.calibration.coloursMeasured;
  const base = {
    ...CALIBRATED,
    colour: measured ? ('measured' as const) : CALIBRATED.colour,
    whiteBasis: card?.basis ?? ('nominal' as const),
    target: located ? ('sheet' as const) : null,
    tag,
    corners,
  };
  if (opened.kind === 'refused') return { base, issues: opened.issues, found: null };
  const { calibration, layout, issues } = opened;
  const box = layout.cells[0];
  if (!box) throw new Error('The sheet has no frame.');
  return {
    base,
    issues,
    found: {
      ...{ calibration, box, relative: false, blurMm: blurOf(opened.located.edges) },
      uncertainty: (l) => surenessOf(calibration, l).whole,
    },
  };
}
