import fc from 'fast-check';
import { asItCame, checkSetup, demoSetup, setupSchema } from '../../setup/index.ts';
import * as build from '../../testing/hidBuilder.ts';
import { fuzzRuns } from '../../testing/index.ts';
import { deviceSchema } from '../device.ts';
import { bitsAt, decodeReport, decoderFor, fieldValue, NOTHING_HEARD, reportSize } from './decode.ts';
import { describedDevice, describedInterfaces } from './describedDevice.ts';
import type { Descriptor } from './descriptor.ts';
import { interfacesText, readInterfaces } from './interfaces.ts';
import { parseDescriptor } from './parseDescriptor.ts';
import { bytesText, readBytes } from './readBytes.ts';
import { SAMPLES } from './samples.ts';
import { unitOf } from './units.ts';
import { usageName } from './usages.ts';
import { fromWebHid } from './webHid.ts';

const bytes = (text: string): Uint8Array => {
  const read = readBytes(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  return read.value;
};
const parsed = (from: string | Uint8Array): Descriptor => {
  const result = parseDescriptor(typeof from === 'string' ? bytes(from) : from);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};

// The boot keyboard and boot mouse of HID 1.11, appendices B and E; from memory.
const KEYBOARD = `05 01 09 06 A1 01 05 07 19 E0 29 E7 15 00 25 01 75 01 95 08 81 02 95 01 75 08 81 01 95 05 75 01
  05 08 19 01 29 05 91 02 95 01 75 03 91 01 95 06 75 08 15 00 25 65 05 07 19 00 29 65 81 00 C0`;
const MOUSE = `05 01 09 02 A1 01 09 01 A1 00 05 09 19 01 29 03 15 00 25 01 95 03 75 01 81 02 95 01 75 05 81 01
  05 01 09 30 09 31 15 81 25 7F 75 08 95 02 81 06 C0 C0`;

/** Reports through a device, each event in short: `+a`, `-a`, `a~2`, `a=0.5`, `→3,4`. */
function heard(descriptor: Descriptor, reports: readonly string[]): string[] {
  const decoder = decoderFor(descriptor, describedDevice(descriptor, 'device', 'Device'));
  let state = NOTHING_HEARD;
  return reports.map((report) => {
    const decoded = decodeReport(decoder, state, bytes(report));
    state = decoded.state;
    return decoded.events
      .map((event) => {
        if (event.kind === 'move') return `→${event.dx},${event.dy}`;
        if (event.kind === 'turn') return `${event.control}~${event.amount}`;
        if (event.kind === 'position') return `${event.control}=${event.value}`;
        return `${event.kind === 'down' ? '+' : '-'}${event.control}`;
      })
      .join(' ');
  });
}

test('a report tells how long it must be; a shorter one is read as far as it goes', () => {
  const descriptor = parsed(KEYBOARD);
  const decoder = decoderFor(descriptor, describedDevice(descriptor, 'device', 'Device'));
  // Eight bytes: modifiers, one reserved, six slots (HID 1.11, appendix B.1).
  expect(reportSize(decoder, bytes('02 00 04'))).toBe(8);
  expect(heard(descriptor, ['02'])).toEqual(['+shift']);
});

test('the boot keyboard: modifiers, six slots, lights', () => {
  const { collections, fields, numbered } = parsed(KEYBOARD);
  expect(numbered).toBe(false);
  expect(collections).toMatchObject([{ kind: 'application', usage: { page: 1, id: 6 }, collections: [] }]);
  const inputs = fields.filter(({ report }) => report === 'input');
  expect(inputs.slice(0, 8).map(({ usage }) => usage && usageName(usage))).toEqual([
    'Left Ctrl',
    'Left Shift',
    'Left Alt',
    'Left Super',
    'Right Ctrl',
    'Right Shift',
    'Right Alt',
    'Right Super',
  ]);
  expect(inputs[8]).toMatchObject({ bitOffset: 8, bitSize: 8, usage: null, flags: { constant: true } });
  expect(inputs[9]).toMatchObject({
    bitOffset: 16,
    bitSize: 8,
    count: 6,
    usages: [{ page: 7, from: 0, to: 0x65 }],
    logicalMax: 0x65,
  });
  const outputs = fields.filter(({ report, flags }) => report === 'output' && !flags.constant);
  expect(outputs.map(({ usage }) => usage && usageName(usage))).toEqual([
    'NumLock',
    'CapsLock',
    'Scroll Lock',
    'Compose',
    'Kana',
  ]);
});

// HID 1.11, appendix C: too many keys at once fill every slot with 01.
test('the boot keyboard reports: chords, rollover, all up', () => {
  expect(
    heard(parsed(KEYBOARD), [
      '02 00 04 00 00 00 00 00',
      '02 00 04 05 00 00 00 00',
      '02 00 01 01 01 01 01 01',
      '00 00 05 00 00 00 00 00',
      '00 00 00 00 00 00 00 00',
    ]),
  ).toEqual(['+shift +a', '+b', '', '-shift -a', '-b']);
});

test('the boot mouse: three buttons and signed movement', () => {
  const { collections, fields } = parsed(MOUSE);
  expect(collections[0]?.collections[0]).toMatchObject({ kind: 'physical', usage: { page: 1, id: 1 } });
  expect(fields.map(({ bitOffset }) => bitOffset)).toEqual([0, 1, 2, 3, 8, 16]);
  expect(fields.at(-1)).toMatchObject({ logicalMin: -127, logicalMax: 127, flags: { relative: true } });
  expect(heard(parsed(MOUSE), ['01 05 FE', '01 00 00', '00 00 81'])).toEqual([
    '+button-1 →5,-2',
    '',
    '-button-1 →0,-127',
  ]);
});

test.each<[string, string, string]>([
  ['', '05 01 09', 'item-cut-off at 2'],
  ['a long item cut off', 'FE 05 00 01', 'item-cut-off at 0'],
  ['a collection not closed', '05 01 09 02 A1 01', 'collection-not-closed at 6'],
  ['a collection closed twice', '05 01 09 02 A1 01 C0 C0', 'collection-not-open at 7'],
  ['pop without push', '05 01 B4', 'pop-without-push at 2'],
  ['report id nought', '85 00', 'report-id-zero at 0'],
  ['a report longer than any', '75 FF 96 FF FF 81 02', 'report-too-long at 5'],
  ['more fields than any device', '75 01 96 FF 7F 09 01 81 02', 'too-many-fields at 7'],
])('%s is refused with its place', (_name, text, told) => {
  const result = parseDescriptor(bytes(text));
  expect(result.ok ? '' : `${result.problem.code} at ${result.problem.at}`).toBe(told);
});

test('long items are passed over; push and pop keep globals; delimited usages are choices; extended usages', () => {
  const { fields } = parsed(
    build.descriptor(
      [0xfe, 2, 0xf0, 1, 2],
      build.usagePage(9),
      build.logicalMax(1),
      build.reportSize(1),
      build.reportCount(1),
      build.push,
      build.usagePage(1),
      build.reportSize(8),
      build.pop,
      build.delimiter(1),
      build.usage(3),
      build.usage(4),
      build.delimiter(0),
      build.input(build.VARIABLE),
      build.usage(0x000c00e9),
      build.input(build.VARIABLE),
    ),
  );
  expect(fields).toMatchObject([
    { usage: { page: 9, id: 3 }, alternatives: [{ page: 9, id: 4 }], bitSize: 1 },
    { usage: { page: 12, id: 0xe9 }, bitOffset: 1 },
  ]);
});

// HID 1.11, 6.2.2.7: the table of common units; from memory.
test.each([
  [0x11, 0, 'cm', 1],
  [0x11, 0xe, 'cm', 0.01],
  [0x14, 0, '°', 1],
  [0xf011, 0, 'cm·s⁻¹', 1],
  [0xe011, 0, 'cm·s⁻²', 1],
  [0xe121, 7, 'cm²·g·s⁻²', 1e7],
  [0x1001, 0xd, 's', 0.001],
  [0x010001, 0, 'K', 1],
  [0, 0, '', 1],
])('unit %i with exponent %i is %s × %d', (code, exponent, words, factor) => {
  const unit = unitOf(code, exponent);
  expect(unit.words).toBe(words);
  expect(unit.factor).toBeCloseTo(factor, 12);
});

const C_ARRAY = `static const uint8_t map[6] = {
  0x05, 0x01, // Usage Page (Generic Desktop)
  0x09, 0x02, /* Mouse */
  0xA1, 0x01,
};`;
test.each([
  ['05 01 09', [5, 1, 9]],
  ['050109', [5, 1, 9]],
  ['0x05,0x01,0x9', [5, 1, 9]],
  ['05:01:09', [5, 1, 9]],
  ['05h 01h', [5, 1]],
  ['\\x05\\x01'.replaceAll('\\x', ' \\x'), [5, 1]],
  [C_ARRAY, [5, 1, 9, 2, 0xa1, 1]],
  ['00000000  05 01 09 02  |....|\n00000010  a1 01', [5, 1, 9, 2, 0xa1, 1]],
])('bytes written as %j', (text, expected) => {
  expect([...bytes(text)]).toEqual(expected);
});
test.each([
  ['05 zz', 'bytes-not-hex', 'zz', 3],
  ['05 123', 'bytes-half', '123', 3],
  ['0x123', 'bytes-too-large', '0x123', 0],
  ['  ', 'bytes-none', '', 0],
])('%j holds no bytes', (text, code, token, at) => {
  expect(readBytes(text)).toEqual({ ok: false, problem: { code, token, at } });
});

/** Random fields of one report: their sizes, ranges and values. */
const arbitraryFields = fc.array(
  fc
    .record({
      bits: fc.integer({ min: 1, max: 32 }),
      signed: fc.boolean(),
      padding: fc.integer({ min: 0, max: 9 }),
    })
    .chain(({ bits, signed, padding }) => {
      const isSigned = signed || bits > 31;
      const [min, max] = isSigned ? [-(2 ** (bits - 1)), 2 ** (bits - 1) - 1] : [0, 2 ** bits - 1];
      return fc.record({
        bits: fc.constant(bits),
        padding: fc.constant(padding),
        min: fc.constant(min),
        max: fc.constant(max),
        value: fc.integer({ min, max }),
      });
    }),
  { minLength: 1, maxLength: 12 },
);

test('random fields written into a report are read back, wherever their bits lie', () => {
  fc.assert(
    fc.property(arbitraryFields, fc.boolean(), (fields, numbered) => {
      const text = build.descriptor(
        build.usagePage(0xff00),
        ...(numbered ? [build.reportId(3)] : []),
        ...fields.map(({ bits, padding, min, max }, i) => [
          ...(padding
            ? [...build.reportSize(padding), ...build.reportCount(1), ...build.input(build.CONSTANT)]
            : []),
          ...build.usage(i + 1),
          ...build.logicalMin(min),
          ...build.logicalMax(max),
          ...build.reportSize(bits),
          ...build.reportCount(1),
          ...build.input(build.VARIABLE),
        ]),
      );
      const report = build.packBits(
        fields.flatMap(({ bits, padding, value }) => [[0, padding] as const, [value, bits] as const]),
      );
      const read = parsed(text);
      const values = read.fields
        .filter(({ usage }) => usage !== null)
        .map((field) => fieldValue(field, report));
      expect(values).toEqual(fields.map(({ value }) => value));
      expect(read.numbered).toBe(numbered);
    }),
  );
});

test('bits are read as they lie, least significant first', () => {
  fc.assert(
    fc.property(
      fc.uint8Array({ minLength: 1, maxLength: 9 }),
      fc.nat(60),
      fc.integer({ min: 1, max: 32 }),
      (data, offset, size) => {
        let expected = 0n;
        for (let i = size - 1; i >= 0; i--) {
          const bit = ((data[(offset + i) >> 3] ?? 0) >> ((offset + i) & 7)) & 1;
          expected = expected * 2n + BigInt(bit);
        }
        expect(bitsAt(data, offset, size)).toBe(Number(expected));
      },
    ),
  );
});

test('any bytes are read or refused with a place among them, and any device they make is sound', () => {
  const piece = fc.oneof(
    fc.uint8Array({ maxLength: 4 }).map((data) => [...data]),
    fc.constantFrom(
      build.usagePage(1),
      build.usagePage(9),
      build.usage(0x38),
      build.usageMax(40),
      build.reportSize(8),
    ),
    fc.constantFrom(
      build.reportCount(6),
      build.logicalMax(127),
      build.input(2),
      build.input(0),
      [0xa1, 1],
      [0xc0],
    ),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 60 }), (pieces) => {
      const data = Uint8Array.from(pieces.flat());
      const result = parseDescriptor(data);
      if (!result.ok) {
        expect(result.problem.at).toBeLessThanOrEqual(data.length);
        return;
      }
      const described = describedDevice(result.value, 'found', 'Found');
      const setup = setupSchema.parse({
        ...demoSetup(),
        devices: [...demoSetup().devices, described.device],
      });
      expect(checkSetup(setup)).toEqual([]);
      decodeReport(decoderFor(result.value, described), NOTHING_HEARD, data);
    }),
    // The example: wheels whose only value is nought were once rings without a position.
    {
      numRuns: fuzzRuns(1000).reduce((sum, { runs }) => sum + runs, 0),
      examples: [
        [[build.usage(0x38), build.reportCount(6), build.usagePage(1), build.reportSize(8), build.input(2)]],
        // 261 sliders: in rows of the usual width they were higher than a device may be.
        [[[0x96], [0x05, 0x01], [0x21], [0x75, 0x08], [0x25, 0x7f], [0x75, 0x08], [0x81, 0x02]]],
      ],
    },
  );
});

test.each(SAMPLES.map((sample) => [sample.id, sample] as const))(
  'the sample %s: controls and recording',
  (id, sample) => {
    const descriptor = parsed(sample.descriptor);
    expect(bytesText(bytes(sample.descriptor))).toBe(sample.descriptor);
    const { device } = describedDevice(descriptor, id, sample.name);
    const told = device.controls.map((control) => `${control.name} (${control.kind})`).join(', ');
    expect([
      device.kind,
      told,
      ...heard(
        descriptor,
        sample.recording.map(({ report }) => report),
      ),
    ]).toMatchSnapshot();
  },
);

test('a hat is four keys, two of them between its places', () => {
  const hat = parsed(
    build.descriptor(
      build.usagePage(1),
      build.collection(
        'application',
        5,
        build.usagePage(1),
        build.usage(0x39),
        build.logicalMin(0),
        build.logicalMax(7),
        build.reportSize(4),
        build.reportCount(1),
        build.input(build.VARIABLE | build.NULL_STATE),
      ),
    ),
  );
  expect(heard(hat, ['00', '01', '04', '08'])).toEqual([
    '+hat-up',
    '+hat-right',
    '-hat-up -hat-right +hat-down',
    '-hat-down',
  ]);
});

test('what a browser says of a device gives the same controls as its descriptor', () => {
  const mouse = fromWebHid([
    {
      usagePage: 1,
      usage: 2,
      type: 1,
      inputReports: [
        {
          reportId: 0,
          items: [
            {
              isAbsolute: true,
              isRange: true,
              usageMinimum: 0x90001,
              usageMaximum: 0x90003,
              reportSize: 1,
              reportCount: 3,
              logicalMinimum: 0,
              logicalMaximum: 1,
            },
            { isAbsolute: true, isConstant: true, reportSize: 5, reportCount: 1 },
            {
              isAbsolute: false,
              usages: [0x10030, 0x10031],
              reportSize: 8,
              reportCount: 2,
              logicalMinimum: -127,
              logicalMaximum: 127,
            },
          ],
        },
      ],
    },
  ]);
  const names = (descriptor: Descriptor) =>
    describedDevice(descriptor, 'd', 'D').device.controls.map(({ name }) => name);
  expect(names(mouse)).toEqual(names(parsed(MOUSE)));
  expect(heard(mouse, ['05 05 FE'])).toEqual(heard(parsed(MOUSE), ['05 05 FE']));
});

const controlsOf = (text: string) => describedDevice(parsed(text), 'device', 'Device').device.controls;
const namesOf = (text: string) => controlsOf(text).map(({ name }) => name);

// A pad's volume keys as arrays of the consumer page; usages E9, EA and E2 (HID Usage Tables, section 15).
test.each([
  ['0 to 3FF', '05 0C 09 01 A1 01 15 00 26 FF 03 19 00 2A FF 03 75 10 95 01 81 00 C0', 'E9 00'],
  ['1 to 2A0', '05 0C 09 01 A1 01 15 01 26 A0 02 19 01 2A A0 02 75 10 95 01 81 00 C0', 'E9 00'],
])('a consumer array of %s has the keys that are known', (_range, text, report) => {
  expect(namesOf(text)).toEqual(expect.arrayContaining(['Vol +', 'Vol −', 'Mute', 'Web home']));
  expect(namesOf(text).length).toBeLessThan(60);
  const [up, down] = heard(parsed(text), [report, '00 00']);
  expect([up, down]).toEqual([expect.stringMatching(/^\+/), expect.stringMatching(/^-/)]);
});

test('what a vendor keeps in its bytes is no control', () => {
  expect(namesOf('06 00 FF 09 01 A1 01 15 00 26 FF 00 75 08 95 40 09 01 81 02 C0')).toEqual([]);
});

test('a dial of a tenth of a degree a count turns as far as the hand did', () => {
  // Unit: degrees (system 4, length 1), exponent −1; 254 counts are 25.4 degrees.
  const text = '05 01 09 0E A1 01 09 37 15 81 25 7F 35 81 45 7F 55 0F 65 14 75 08 95 01 81 06 C0';
  expect(controlsOf(text)[0]?.rotor).toMatchObject({ kind: 'continuous' });
  const decoder = decoderFor(parsed(text), describedDevice(parsed(text), 'device', 'Device'));
  const { events } = decodeReport(decoder, NOTHING_HEARD, bytes('64'));
  expect(events).toMatchObject([{ kind: 'turn', unit: 'degrees', amount: 10 }]);
});

test('six axes are six controls; a finger moves nothing, and its time is no control', () => {
  const axes = '05 01 09 08 A1 01 16 A2 FE 26 5E 01 09 30 09 31 09 32 75 10 95 03 81 02 C0';
  expect(controlsOf(axes).map(({ kind }) => kind)).toEqual(['slider', 'slider', 'slider']);
  expect(heard(parsed(axes), ['10 00 00 00 00 00']).join()).not.toContain('→');
  const finger = `05 0D 09 05 A1 01 09 22 A1 02 09 42 15 00 25 01 75 01 95 01 81 02 95 07 81 03 05 01 09 30 09 31
    26 FF 0F 75 10 95 02 81 02 C0 05 0D 09 56 26 FF 7F 75 10 95 01 81 02 C0`;
  expect(namesOf(finger)).toEqual(['Contact']);
  const reports = ['01 00 01 00 01 00 00', '01 00 09 00 09 00 00'];
  expect(heard(parsed(finger), reports)).toEqual(['+contact', '']);
});

test('only buttons of a mouse or pointer are pointer buttons', () => {
  const pad = '05 01 09 05 A1 01 05 09 19 01 29 04 15 00 25 01 75 01 95 04 81 02 95 04 81 03 C0';
  expect(controlsOf(pad).map(({ native }) => native)).toEqual([{}, {}, {}, {}]);
  expect(controlsOf(MOUSE).filter(({ native }) => native.press).length).toBe(3);
});

test('a field of no size is passed over; the rest of the device is read', () => {
  const odd = MOUSE.replace('05 01 09 30', '75 00 95 01 81 02 05 01 09 30').replace(
    '15 81 25 7F 75 08',
    '15 81 25 7F 75 08',
  );
  expect(namesOf(odd)).toEqual(namesOf(MOUSE));
});

test('a selector of 1 and 2 is down at 2 and comes up at 1', () => {
  const text = '05 0C 09 01 A1 01 09 CD 15 01 25 02 75 08 95 01 81 02 C0';
  const [id] = controlsOf(text).map((control) => control.id);
  expect(heard(parsed(text), ['01', '02', '01'])).toEqual(['', `+${id}`, `-${id}`]);
});

test('interfaces of one device become one device; each reads its own reports', () => {
  const descriptors = [parsed(KEYBOARD), parsed(MOUSE)];
  const { device, interfaces } = describedInterfaces(descriptors, 'pad', 'Pad');
  const apart = descriptors.map((each) => describedDevice(each, 'pad', 'Pad').device.controls.length);
  expect(device.kind).toBe('key-pad');
  expect(device.controls.length).toBe((apart[0] ?? 0) + (apart[1] ?? 0));
  expect(new Set(device.controls.map(({ id }) => id)).size).toBe(device.controls.length);
  const said = descriptors.map((descriptor, i) => {
    const own = interfaces[i];
    if (!own) throw new Error(`There is no interface ${i}.`);
    const report = bytes(i === 0 ? '00 00 04 00 00 00 00 00' : '01 05 00');
    return decodeReport(decoderFor(descriptor, own), NOTHING_HEARD, report).events.map(({ kind }) => kind);
  });
  expect(said).toEqual([['down'], ['down', 'move']]);
  // The mouse first: it is a mouse that has keys.
  expect(describedInterfaces(descriptors.toReversed(), 'm', 'M').device.kind).toBe('mouse');
  const text = interfacesText([bytes(KEYBOARD), bytes(MOUSE)]);
  expect(readInterfaces(text)).toEqual(descriptors);
  expect(deviceSchema.safeParse({ ...device, descriptor: text }).success).toBe(true);
  expect(readInterfaces(`${text} / 05`)).toBeNull();
  expect(asItCame({ ...device, descriptor: text })?.controls).toEqual(device.controls);
});

test('the second of a name is told from the first; a pad that moves the pointer too is a pad', () => {
  const twice = '05 01 09 05 A1 01 05 09 09 07 09 07 15 00 25 01 75 01 95 02 81 02 95 06 81 03 C0';
  expect(namesOf(twice)).toEqual(['Button 7 (1)', 'Button 7 (2)']);
  expect(describedDevice(parsed(`${KEYBOARD} ${MOUSE}`), 'pad', 'Pad').device.kind).toBe('key-pad');
  expect(describedDevice(parsed(MOUSE), 'mouse', 'Mouse').device.kind).toBe('mouse');
});

test.each([
  ['offsets with a colon', '0000: 05 01 09\n0003: 02 A1', '05 01 09 02 A1'],
  ['offsets that count', '0000 05 01 09\n0003 02 A1', '05 01 09 02 A1'],
  ['offsets and characters', '00000000: 0501 0902  ....\n00000004: A101  ..', '05 01 09 02 A1 01'],
  ['a dump with bars', '00000000  05 01 09 02  a1 01  |......|', '05 01 09 02 A1 01'],
  ['binary', '0b00000101 0b00000001', '05 01'],
  ['hexadecimal that looks binary', '0b01', '0B 01'],
])('%s are read as bytes and nothing else', (_what, text, expected) => {
  expect(bytesText(bytes(text))).toBe(expected);
});

test('a browser’s unit is the descriptor’s', () => {
  const item = {
    ...{ usages: [0x0001_0037], reportSize: 8, reportCount: 1, isAbsolute: false, unitExponent: 0 },
    ...{ logicalMinimum: -127, logicalMaximum: 127, physicalMinimum: -635, physicalMaximum: 635 },
  };
  const collection = (unit: object) => [
    { usagePage: 1, usage: 0x0e, type: 1, inputReports: [{ items: [{ ...item, ...unit }] }] },
  ];
  const degrees = fromWebHid(collection({ unitSystem: 'english-rotation', unitFactorLengthExponent: 1 }));
  expect(degrees.fields[0]?.unit).toEqual(unitOf(0x14, 0));
  // Five degrees a count.
  expect(describedDevice(degrees, 'dial', 'Dial').device.controls[0]?.rotor).toMatchObject({
    detentDegrees: 5,
  });
});
