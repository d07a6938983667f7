const LOUD = 0.15
const BEEP_S = 0.12

/** A short tone of that pitch (Hz). */
export function beep(pitch: number) {
  const audio = new AudioContext()
  const tone = audio.createOscillator()
  const loud = audio.createGain()
  tone.frequency.value = pitch
  loud.gain.value = LOUD
  tone.connect(loud).connect(audio.destination)
  tone.onended = () => void audio.close()
  tone.start()
  tone.stop(audio.currentTime + BEEP_S)
}

/** Says it with the browser's own voice, where it has one; what it was saying before is cut short. */
export function say(words: string) {
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words))
}
