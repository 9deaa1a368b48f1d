import { DestroyRef, Injectable, inject, signal } from '@angular/core';

/** How one is called beside the chime. */
export interface CallWays {
  readonly sound: boolean;
  readonly speech: boolean;
  readonly notification: boolean;
}

const KEPT_AS = 'kilnstone.bell';
/** The chime: two notes, Hz, and how long each sounds, s; struck thrice where it is the latest moment. */
const NOTES = [660, 880];
const NOTE_S = 0.45;
const LOUDNESS = 0.35;
/** A single note is for what is only looked after. */
const NUDGE = 1;
/** Not heard any more. */
const FADED = 0.001;
const BUZZ_MS = [300, 120, 300];

/** Calls the cook: chime, spoken line, vibration, notification; keeps the screen awake. Whatever the browser refuses, the rest goes on. */
@Injectable({ providedIn: 'root' })
export class Bell {
  private context: AudioContext | undefined;
  private awake: WakeLockSentinel | undefined;
  private wanted = false;
  readonly ways = signal<CallWays>(keptWays());
  /** The browser lets it be heard: not before something on the page was pressed. */
  readonly heard = signal(false);
  /** The browser does not keep it on. */
  readonly screenMayGoDark = signal(false);

  constructor() {
    const again = (): void => {
      if (document.visibilityState === 'visible' && this.wanted) void this.stayAwake();
    };
    document.addEventListener('visibilitychange', again);
    inject(DestroyRef).onDestroy(() => document.removeEventListener('visibilitychange', again));
  }

  /** Lets sound be heard from here on; to be called from a press. */
  async unlock(): Promise<void> {
    const Context = (globalThis as { AudioContext?: typeof AudioContext }).AudioContext;
    if (!Context) return;
    this.context ??= new Context();
    await this.context.resume().catch(() => undefined);
    this.heard.set(this.context.state === 'running');
  }

  choose(ways: CallWays): void {
    this.ways.set(ways);
    try {
      localStorage.setItem(KEPT_AS, JSON.stringify(ways));
    } catch {
      // Storage may be blocked: it then holds for this visit, which the storage notice already says.
    }
    if (ways.notification && 'Notification' in globalThis && Notification.permission === 'default')
      void Notification.requestPermission().then((answer) => {
        if (answer !== 'granted') this.choose({ ...this.ways(), notification: false });
      });
  }

  /** @param said the sentence that is spoken and shown in a notification */
  ring(said: string, urgent: boolean): void {
    const { sound, speech, notification } = this.ways();
    if (sound) this.chime(NOTES.length * (urgent ? 3 : 1));
    if (sound && speech && 'speechSynthesis' in globalThis) speechSynthesis.speak(new SpeechSynthesisUtterance(said));
    (navigator as Partial<Navigator>).vibrate?.(BUZZ_MS);
    if (notification && document.hidden && 'Notification' in globalThis && Notification.permission === 'granted')
      new Notification(said);
  }

  /** Something small is due again. */
  nudge(): void {
    if (this.ways().sound) this.chime(NUDGE);
  }

  /** Keeps the screen on for as long as a run is open. */
  async stayAwake(): Promise<void> {
    this.wanted = true;
    try {
      this.awake = await (navigator as Partial<Navigator>).wakeLock?.request('screen');
      this.screenMayGoDark.set(this.awake === undefined);
      // Given up by the browser, as with a tab that is left: that is asked for again when it is looked at.
      this.awake?.addEventListener('release', () =>
        this.screenMayGoDark.set(this.wanted && document.visibilityState === 'visible'),
      );
    } catch {
      this.screenMayGoDark.set(true);
    }
  }

  async maySleep(): Promise<void> {
    this.wanted = false;
    await this.awake?.release().catch(() => undefined);
    this.awake = undefined;
  }

  private chime(notes: number): void {
    const { context } = this;
    if (!context || context.state !== 'running') return;
    for (let k = 0; k < notes; k++) {
      const [tone, gain] = [context.createOscillator(), context.createGain()];
      const at = context.currentTime + k * NOTE_S;
      tone.frequency.value = NOTES[k % NOTES.length];
      gain.gain.setValueAtTime(LOUDNESS, at);
      gain.gain.exponentialRampToValueAtTime(FADED, at + NOTE_S);
      tone.connect(gain).connect(context.destination);
      tone.start(at);
      tone.stop(at + NOTE_S);
    }
  }
}

/** As they were chosen last; whatever else is kept there counts for nothing. */
function keptWays(): CallWays {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT_AS) ?? 'null') as Partial<Record<keyof CallWays, unknown>> | null;
    return { sound: kept?.sound !== false, speech: kept?.speech === true, notification: kept?.notification === true };
  } catch {
    return { sound: true, speech: false, notification: false };
  }
}
