/** Hertz of a reading that was taken, and of one that is asked about or refused. */
export const TAKEN = 880;
export const ASKED = 330;

export function beep(pitch: number) {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.frequency.value = pitch;
    tone.connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + (pitch === TAKEN ? 0.08 : 0.3));
  } catch {
    // No sound here: the reading says it too.
  }
}
