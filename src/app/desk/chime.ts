let audio: AudioContext | undefined;

const [PITCH, LENGTH] = [660, 0.18];

/** Two soft tones; silent where the browser has no sound or has not been touched yet. */
export function chime(): void {
  try {
    audio ??= new AudioContext();
    for (const [i, pitch] of [PITCH, PITCH * 1.5].entries()) {
      const tone = audio.createOscillator();
      const loudness = audio.createGain();
      const begin = audio.currentTime + i * (LENGTH + 0.05);
      tone.frequency.value = pitch;
      loudness.gain.setValueAtTime(0.2, begin);
      loudness.gain.exponentialRampToValueAtTime(0.001, begin + LENGTH);
      tone.connect(loudness).connect(audio.destination);
      tone.start(begin);
      tone.stop(begin + LENGTH);
    }
  } catch {
    // The time is on the screen all the same.
  }
}
