/* global registerProcessor, AudioWorkletProcessor */
/** Hands on what a microphone hears, unchanged. */
class Tap extends AudioWorkletProcessor {
  process([input]) {
    if (input?.[0]) {
      this.port.postMessage(input[0].slice());
    }
    return true;
  }
}

registerProcessor('tap', Tap);
