/** A sound, and a notification where the browser may show one. */
export function ring(text: string) {
  if ('Notification' in window && Notification.permission === 'granted') {
    new Notification(text);
  }
  if ('AudioContext' in window) {
    const sound = new AudioContext();
    for (const at of [0, 0.35, 0.7]) {
      const tone = sound.createOscillator();
      const loud = sound.createGain();
      tone.frequency.value = 880;
      loud.gain.value = 0.15;
      tone.connect(loud).connect(sound.destination);
      tone.start(sound.currentTime + at);
      tone.stop(sound.currentTime + at + 0.2);
    }
  }
}
