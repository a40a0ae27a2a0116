import { useEffect } from 'react';

const [PITCH, LENGTH] = [660, 0.18];

let audio: AudioContext | undefined;

/** Makes the sound ready, or ready again: WebKit heeds it within a press alone, and takes it away when another page sounds. */
function ready(): void {
  try {
    audio ??= new AudioContext();
    if (audio.state !== 'running') audio.resume().catch(() => {});
  } catch {
    // A browser without sound: the time is on the screen all the same.
  }
}

/** While a view may sound, any press in it makes the sound ready. */
export function useSoundReady(sounds: boolean): void {
  useEffect(() => {
    if (!sounds) return;
    // The press that opened the view is enough for most browsers.
    if (navigator.userActivation?.hasBeenActive) ready();
    for (const press of ['click', 'keydown']) window.addEventListener(press, ready, true);
    return () => {
      for (const press of ['click', 'keydown']) window.removeEventListener(press, ready, true);
    };
  }, [sounds]);
}

/** Two soft tones; silent where the browser has no sound or has not been touched yet. */
export function chime(): void {
  // Tones of a sound that is not ready would all be heard at the next press.
  if (audio?.state !== 'running') return;
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
}
