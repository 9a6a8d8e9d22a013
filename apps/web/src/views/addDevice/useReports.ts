import {
  type Decoder,
  decodeReport,
  type HeardEvent,
  type HeardState,
  NOTHING_HEARD,
  readBytes,
  reportSize,
  type Sample,
} from '@nimble-lever/core/devices/hid';
import { bytesProblemWords } from '@nimble-lever/core/words';
import { useEffect, useRef, useState } from 'react';
import { useFlash } from '../../app/useFlash.ts';
import { WORDS } from './words.ts';

/** One report that was tried, with what it said. */
export interface Heard {
  readonly key: number;
  /** As hexadecimal bytes. */
  readonly report: string;
  /** What the decoder made of it. */
  readonly events: readonly HeardEvent[];
  /** Why it says less than it might: it is cut short, or no report has its id. */
  readonly lacks: string | null;
}

/** Reports tried on a device: what they said, which controls are lit, and playing a recording. */
export function useReports(decoders: readonly Decoder[]) {
  const states = useRef<readonly HeardState[]>([]);
  const timers = useRef<ReturnType<typeof setTimeout>[]>([]);
  const count = useRef(0);
  const [heard, setHeard] = useState<readonly Heard[]>([]);
  const [down, setDown] = useState<ReadonlySet<string>>(new Set());
  const [playing, setPlaying] = useState(false);
  const { lit, light, fade } = useFlash();

  const stop = () => {
    for (const timer of timers.current) clearTimeout(timer);
    timers.current = [];
    setPlaying(false);
  };
  // Another descriptor is another device: what was heard of the one before is no more.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only the decoders matter.
  useEffect(() => {
    states.current = [];
    setHeard([]);
    setDown(new Set());
    return stop;
  }, [decoders]);

  /** Tries one report of an interface; a problem in words, or null. */
  const send = (text: string, at = 0): string | null => {
    const read = readBytes(text);
    if (!read.ok) return bytesProblemWords(read.problem);
    const decoder = decoders[at];
    if (!decoder) return null;
    const decoded = decodeReport(decoder, states.current[at] ?? NOTHING_HEARD, read.value);
    states.current = decoders.map((_, i) =>
      i === at ? decoded.state : (states.current[i] ?? NOTHING_HEARD),
    );
    count.current += 1;
    const lacks = lacking(reportSize(decoder, read.value), read.value.length);
    const entry = { key: count.current, report: text.trim(), events: decoded.events, lacks };
    setHeard((before) => [entry, ...before].slice(0, 30));
    setDown(new Set(states.current.flatMap(({ down }) => [...down])));
    for (const event of decoded.events) {
      if (!('control' in event) || event.kind === 'down' || event.kind === 'up') continue;
      light(event.control);
      fade(event.control);
    }
    return null;
  };
  const play = ({ recording }: Sample) => {
    stop();
    setPlaying(true);
    timers.current = recording.map(({ t, report }) => setTimeout(() => send(report), t));
    timers.current.push(setTimeout(() => setPlaying(false), (recording.at(-1)?.t ?? 0) + 50));
  };
  return { heard, lit: new Set([...down, ...lit]), playing, send, play, stop };
}

/** What a report of so many bytes lacks, in words; null where it is whole. */
function lacking(wanted: number | null, given: number): string | null {
  if (wanted === null) return WORDS.noSuchReport;
  return given < wanted ? WORDS.tooShort(given, wanted) : null;
}
