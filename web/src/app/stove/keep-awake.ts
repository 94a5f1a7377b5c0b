import { DestroyRef, inject } from '@angular/core';

/** Keeps the screen on while the calling component lives, where the browser allows it. */
export function keepAwake(): void {
  let lock: { release(): Promise<void> } | null = null;
  const take = async (): Promise<void> => {
    try {
      lock =
        (await (
          navigator as { wakeLock?: { request(kind: 'screen'): Promise<{ release(): Promise<void> }> } }
        ).wakeLock?.request('screen')) ?? null;
    } catch {
      lock = null;
    }
  };
  const again = (): void => {
    if (document.visibilityState === 'visible') void take();
  };
  void take();
  document.addEventListener('visibilitychange', again);
  inject(DestroyRef).onDestroy(() => {
    document.removeEventListener('visibilitychange', again);
    void lock?.release();
  });
}

/** Two short tones, and the instruction spoken: each only when the cook wants it. */
export function announce(text: string, lang: string, how: { tone: boolean; voice: boolean }): void {
  try {
    if (how.tone) {
      const context = new AudioContext();
      for (const [i, hz] of [660, 880].entries()) {
        const tone = context.createOscillator();
        const gain = context.createGain();
        gain.gain.value = 0.12;
        tone.frequency.value = hz;
        tone.connect(gain).connect(context.destination);
        tone.start(context.currentTime + i * 0.22);
        tone.stop(context.currentTime + i * 0.22 + 0.18);
      }
      setTimeout(() => void context.close(), 1000);
    }
    if (how.voice) {
      const speech = new SpeechSynthesisUtterance(text);
      speech.lang = lang;
      speechSynthesis.speak(speech);
    }
  } catch {
    // No sound on this device: the screen says it too.
  }
}
