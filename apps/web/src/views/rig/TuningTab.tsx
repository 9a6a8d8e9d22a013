import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import {
  type Device,
  type DeviceSettings,
  movesPointer,
  REPORT_RATES,
  USUAL_SETTINGS,
} from '@nimble-lever/core/devices';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { NumberField } from '../../pieces/NumberField.tsx';
import { AccelerationCard } from './AccelerationCard.tsx';
import { FeelPad } from './FeelPad.tsx';
import { RotorCard } from './RotorCard.tsx';
import { ShuttleCard } from './ShuttleCard.tsx';
import { SLIDES, SliderCard } from './SliderCard.tsx';
import { SpeedsCard } from './SpeedsCard.tsx';
import { ThresholdsCard } from './ThresholdsCard.tsx';
import { TuneCard } from './TuneCard.tsx';
import { useDeviceEdits } from './useDeviceEdits.ts';
import { WheelCard } from './WheelCard.tsx';
import { WORDS } from './words.ts';

/** How a device is tuned, each with a picture where there is something to see. */
export function TuningTab({ device }: { readonly device: Device }) {
  const edits = useDeviceEdits(device);
  const { settings } = device;
  const first = edits.came?.settings ?? USUAL_SETTINGS;
  // Shown only where something differs: a button that would do nothing is no help.
  const reset = (...fields: readonly (keyof DeviceSettings)[]) => {
    const differs = fields.some((field) => JSON.stringify(settings[field]) !== JSON.stringify(first[field]));
    if (!differs) return null;
    return () => edits.set(Object.fromEntries(fields.map((field) => [field, first[field]])));
  };
  // One that was stored before this could be set has it as it came.
  const reportRate = settings.reportRate ?? first.reportRate;
  const hasPointer = movesPointer(device.kind) || settings.pointerSpeeds.length > 0;
  const hasWheel = device.controls.some(({ kind }) => kind === 'wheel');
  // Swapping needs both a left and a right button.
  const hasButtons = [0, 2].every((button) =>
    device.controls.some(({ native: { press } }) => press?.kind === 'button' && press.button === button),
  );
  return (
    <>
      {hasPointer && (
        <>
          <SpeedsCard
            speeds={settings.pointerSpeeds}
            onChange={(pointerSpeeds) => edits.set({ pointerSpeeds: [...pointerSpeeds] })}
            onReset={reset('pointerSpeeds')}
          />
          <AccelerationCard
            acceleration={settings.acceleration}
            onChange={(acceleration) => edits.set({ acceleration })}
            onReset={reset('acceleration')}
          >
            <FeelPad settings={settings} />
          </AccelerationCard>
        </>
      )}
      {reportRate !== null && (
        <TuneCard title={WORDS.reports} onReset={reset('reportRate')}>
          <div className="line">
            <span>{WORDS.reportEvery(1000 / reportRate)}</span>
            <ChoiceField
              label={WORDS.reports}
              value={String(reportRate)}
              options={REPORT_RATES.map((rate) => [String(rate), String(rate)] as const)}
              onChange={(rate) =>
                edits.set({ reportRate: REPORT_RATES.find((each) => String(each) === rate) ?? null })
              }
            />
          </div>
        </TuneCard>
      )}
      {hasWheel && (
        <WheelCard
          wheel={settings.wheel}
          onChange={(wheel) => edits.set({ wheel })}
          onReset={reset('wheel')}
        />
      )}
      {hasButtons && (
        <TuneCard title={WORDS.buttons} onReset={reset('swapped')}>
          <FormControlLabel
            label={WORDS.swapped}
            slotProps={{ typography: { variant: 'body2' } }}
            control={
              <Checkbox
                size="small"
                checked={settings.swapped}
                onChange={({ target }) => edits.set({ swapped: target.checked })}
              />
            }
          />
        </TuneCard>
      )}
      {device.controls
        .filter(({ rotor, kind }) => rotor !== null && kind !== 'wheel')
        .map((control) => (
          <RotorCard key={control.id} control={control} edits={edits} />
        ))}
      {device.controls
        .filter(({ spring }) => spring !== null)
        .map((control) => (
          <ShuttleCard key={control.id} control={control} edits={edits} />
        ))}
      {device.controls
        .flatMap((control) => SLIDES.filter((way) => control[way]).map((way) => ({ control, way })))
        .map(({ control, way }) => (
          <SliderCard key={`${control.id} ${way}`} control={control} way={way} edits={edits} />
        ))}
      <ThresholdsCard
        settings={settings}
        onChange={edits.set}
        onReset={reset('holdMs', 'doubleMs', 'nudgeDistance', 'guardMs', 'confirmMs')}
      />
      {device.battery && (
        <TuneCard title={WORDS.battery} onReset={reset('batteryWarning')}>
          <div className="line">
            <span>{WORDS.warnAt}</span>
            <NumberField
              label={WORDS.warnAt}
              value={settings.batteryWarning}
              min={1}
              max={90}
              unit={WORDS.percent}
              onChange={(batteryWarning) => edits.set({ batteryWarning })}
            />
          </div>
        </TuneCard>
      )}
    </>
  );
}
