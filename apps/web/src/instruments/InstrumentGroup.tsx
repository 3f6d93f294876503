import { useEffect, useRef, useState } from 'react';
import { captured, success, type Captured, type Quantity, type Simulated } from '@larchwood/core';
import { useUnits } from '../editor/editor';
import { ChoiceRow } from '../ledger/ChoiceRow';
import { Group, Row } from '../ledger/Panel';
import { QuantityField } from '../ledger/QuantityField';
import { Button } from '../parts/Button';
import { Measure } from '../parts/Figure';
import { hasSerial, serialGauge, simulatedGauge } from './gauges';
import type { Gauge } from './instrument';

interface Offered {
  readonly id: string;
  readonly name: string;
  readonly quantity: Quantity;
  readonly make: (settings: () => Simulated) => Gauge;
}
const standIn = (id: string, name: string, quantity: Quantity): Offered => ({
  ...{ id, name, quantity },
  make: (settings) => simulatedGauge(name, quantity, settings),
});
const wired = (id: string, name: string, quantity: Quantity): Offered => ({
  ...{ id, name, quantity },
  make: () => serialGauge(name, quantity),
});
/** What can be read, stand-ins first; a new one is a line. */
const GAUGES: readonly Offered[] = [
  standIn('angle', 'Angle gauge, stand-in', 'angle'),
  standIn('read-out', 'Digital read-out, stand-in', 'length'),
  standIn('tape', 'Digital tape, stand-in', 'length'),
  ...(hasSerial()
    ? [
        wired('serial-angle', 'Angle gauge by a serial line', 'angle'),
        wired('serial-length', 'Read-out by a serial line', 'length'),
      ]
    : []),
];

/** It is looked at so often, ms. */
const BEAT = 200;
/** So many are held for one reading. */
const TO_ONE = 3;
const STEP: Readonly<Record<Quantity, number>> = { angle: 0.05, length: 0.01 };

/** A reading taken over a line: held three times to one, with its spread; a stand-in is set from here. */
export function InstrumentGroup({
  of,
  quantity,
  nominal,
  onReading,
}: {
  /** What is measured: what was held of another counts no more. */
  readonly of: string;
  readonly quantity: Quantity;
  /** What a stand-in is held to at first. */
  readonly nominal: number;
  readonly onReading: (reading: Captured) => void;
}) {
  const units = useUnits();
  const [chosen, choose] = useState('none');
  const [value, setValue] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const [zero, setZero] = useState(0);
  const [holds, setHolds] = useState<{ readonly of: string; readonly values: readonly number[] }>();
  const held = holds?.of === of ? holds.values : [];
  const [settings, setSettings] = useState<Simulated>({
    ...{ truth: nominal, noise: STEP[quantity], offset: 0, step: STEP[quantity] },
  });
  const now = useRef(settings);
  const offered = GAUGES.filter((each) => each.quantity === quantity);
  const instrument = offered.find(({ id }) => id === chosen);
  useEffect(() => {
    now.current = settings;
  }, [settings]);
  useEffect(() => {
    if (!instrument) return;
    const gauge = instrument.make(() => now.current);
    const told = (error: unknown) =>
      setTrouble(error instanceof Error ? error.message : 'It cannot be read.');
    let left = false;
    let timer: ReturnType<typeof setInterval> | undefined;
    const look = () =>
      void gauge.read().then((read) => {
        setValue(read);
        setTrouble(undefined);
      }, told);
    void gauge.open().then(() => {
      if (!left) timer = setInterval(look, BEAT);
    }, told);
    return () => {
      left = true;
      clearInterval(timer);
      gauge.close();
    };
  }, [instrument]);
  const shown = value === undefined ? undefined : value - zero;
  const hold = () => {
    if (shown === undefined) return;
    const all = [...held, shown];
    if (all.length < TO_ONE) return setHolds({ of, values: all });
    setHolds(undefined);
    onReading(captured(all));
  };
  const change = (part: Partial<Simulated>) => {
    setSettings((before) => ({ ...before, ...part }));
    return success(true as const);
  };
  return (
    <Group title="By an instrument">
      <ChoiceRow
        name="Read"
        label="Instrument"
        changes={false}
        value={instrument ? chosen : 'none'}
        options={[
          { value: 'none', label: 'none: typed' },
          ...offered.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(next) => {
          choose(next);
          setValue(undefined);
          setTrouble(undefined);
          setHolds(undefined);
          setZero(0);
        }}
      />
      {instrument && (
        <>
          <p className="flex items-baseline justify-between px-4 py-1">
            <span className="caption">shows</span>
            <output aria-label="The instrument shows" className="text-[24px] font-bold">
              {shown === undefined ? (
                '–'
              ) : (
                <Measure value={shown} quantity={quantity} display={units} digits={2} />
              )}
            </output>
          </p>
          {trouble !== undefined && (
            <p role="alert" className="px-4 text-[13px] text-brick">
              {trouble}
            </p>
          )}
          <p className="flex gap-2 px-4 py-1">
            <Button disabled={shown === undefined} onClick={hold}>
              Hold{held.length > 0 && ` ${held.length + 1} of ${TO_ONE}`}
            </Button>
            <Button look="quiet" disabled={value === undefined} onClick={() => setZero(value ?? 0)}>
              Zero it here
            </Button>
            {zero !== 0 && (
              <Button look="quiet" onClick={() => setZero(0)}>
                Its own zero
              </Button>
            )}
          </p>
          <p className="caption px-4">
            Held {TO_ONE} times, lifted off between: their mean is the reading, with its spread.
          </p>
          {!instrument.id.startsWith('serial') && (
            <>
              {(
                [
                  ['truth', 'The stand-in lies at'],
                  ['noise', 'It is unsteady by'],
                  ['offset', 'Its zero is off by'],
                ] as const
              ).map(([key, name]) => (
                <Row key={key} name={name}>
                  <QuantityField
                    field={`instrument.${quantity}.${key}`}
                    label={name}
                    quantity={quantity}
                    value={settings[key]}
                    nudge={STEP[quantity]}
                    onCommit={(next) =>
                      key === 'noise' && (next < 0 || next > 20)
                        ? { ok: false, message: 'From 0 to 20.' }
                        : change({ [key]: next })
                    }
                  />
                </Row>
              ))}
            </>
          )}
        </>
      )}
    </Group>
  );
}
