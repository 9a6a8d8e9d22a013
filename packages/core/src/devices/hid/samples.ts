import samples from './samples.json' with { type: 'json' };

/** A device that describes itself, as an example: invented, with a recording of its being used. */
export interface Sample {
  readonly id: string;
  readonly name: string;
  /** What it is an example of. */
  readonly about: string;
  /** Its report descriptor, as text. */
  readonly descriptor: string;
  /** Input reports as text, each with its time in milliseconds. */
  readonly recording: readonly { readonly t: number; readonly report: string }[];
}

/** The invented devices, with descriptors and recordings of reports. */
export const SAMPLES: readonly Sample[] = samples;
