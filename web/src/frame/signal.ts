/** Says aloud that a hold has come to its end, as far as this device may. */

const HIGH_HZ = 880;
const BEEP_S = 0.18;
const BEEPS = 3;

function beep() {
  // browsers keep a page silent until it is touched, and complain of a sound before
  if (navigator.userActivation?.hasBeenActive === false) {
    return;
  }
  const audio = new AudioContext();
  for (let i = 0; i < BEEPS; i++) {
    const tone = audio.createOscillator();
    tone.frequency.value = HIGH_HZ;
    tone.connect(audio.destination);
    tone.start(audio.currentTime + 2 * i * BEEP_S);
    tone.stop(audio.currentTime + (2 * i + 1) * BEEP_S);
  }
  setTimeout(() => void audio.close(), 2 * BEEPS * BEEP_S * 1000);
}

/** Asks once whether messages may be shown while another page is in front. */
export function mayNotify() {
  if ("Notification" in window && Notification.permission === "default") {
    void Notification.requestPermission();
  }
}

export function signal(title: string, body: string) {
  try {
    beep();
  } catch {
    // a device without sound still shows it
  }
  if ("Notification" in window && Notification.permission === "granted") {
    new Notification(title, { body });
  }
}
