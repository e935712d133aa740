/**
 * Days from one test to the next in a tank where it is a habit (EA): what plants, corals and fish use up in days is tested sooner than what
 * drifts over months. A course asks for its own tests beside these.
 */
export const TEST_EVERY_DAYS: Readonly<Record<string, number>> = {
  'alk-kh': 4,
  no3: 7,
  po4: 7,
  salinity: 7,
  ph: 14,
  ca: 14,
  mg: 28,
  k: 28,
  sio2: 14,
  gh: 14,
}

/** The same for a tank whose filter may not carry its animals yet: quarantine, hospital and other small containers (EA). */
export const QUARANTINE_TEST_EVERY_DAYS: Readonly<Record<string, number>> = { ...TEST_EVERY_DAYS, tan: 3, no2: 7 }
