import { readBytes } from '@nimble-lever/core/devices/hid';

/**
 * The memory of the simulated devices: bytes by device and slot, kept by the browser as a device keeps them, apart
 * from the set-up.
 */
const KEPT_AT = 'nimble-lever.device-memory';

/** Where a slot is kept: the browser stands in for the memory inside the device. */
function keyOf(device: string, slot: number): string {
  return `${KEPT_AT}/${device}/${slot}`;
}

/** What a slot holds; no bytes where nothing was stored. */
export function readSlot(device: string, slot: number): Uint8Array {
  try {
    const read = readBytes(localStorage.getItem(keyOf(device, slot)) ?? '');
    return read.ok ? read.value : new Uint8Array();
  } catch {
    return new Uint8Array();
  }
}

/** Stores bytes in a slot; says whether they were kept. */
export function writeSlot(device: string, slot: number, bytes: Uint8Array): boolean {
  try {
    const text = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join(' ');
    localStorage.setItem(keyOf(device, slot), text);
    return true;
  } catch {
    return false;
  }
}

/** Empties a slot. */
export function clearSlot(device: string, slot: number): void {
  try {
    localStorage.removeItem(keyOf(device, slot));
  } catch {
    // What keeps nothing has nothing to clear.
  }
}
