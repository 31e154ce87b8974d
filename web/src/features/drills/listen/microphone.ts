import tap from './tap.js?url&no-inline';

/** A recording that goes on. */
export interface Recording {
  /** How loud it is just now, 0 to 1. */
  level: () => number;
  /** Seconds so far. */
  seconds: () => number;
  /** Ends it and gives the microphone back. */
  stop: () => { samples: Float32Array; sampleRate: number };
}

/** Listens to the microphone; what it hears stays in the page. Throws in words where there is none or it is not allowed. */
export async function record(): Promise<Recording> {
  const stream = await ask();
  const audio = new AudioContext();
  const blocks: Float32Array[] = [];
  let length = 0;
  let level = 0;
  try {
    await audio.audioWorklet.addModule(tap);
  } catch (error) {
    stream.getTracks().forEach((track) => track.stop());
    await audio.close();
    throw error;
  }
  const source = audio.createMediaStreamSource(stream);
  const node = new AudioWorkletNode(audio, 'tap', { numberOfOutputs: 0 });
  node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
    blocks.push(data);
    length += data.length;
    level = Math.max(0.97 * level, ...data.map(Math.abs));
  };
  source.connect(node);
  await audio.resume();
  return {
    level: () => level,
    seconds: () => length / audio.sampleRate,
    stop: () => {
      source.disconnect();
      stream.getTracks().forEach((track) => track.stop());
      const { sampleRate } = audio;
      void audio.close();
      const samples = new Float32Array(length);
      let at = 0;
      for (const block of blocks) {
        samples.set(block, at);
        at += block.length;
      }
      return { samples, sampleRate };
    },
  };
}

async function ask(): Promise<MediaStream> {
  // Missing where the page is neither on this machine nor encrypted.
  const devices = navigator.mediaDevices as MediaDevices | undefined;
  if (!devices) {
    throw new Error('This browser lets a page listen only on this machine or over an encrypted connection.');
  }
  try {
    // What is made for voices would take the guitar for noise.
    const asHeard = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };
    return await devices.getUserMedia({ audio: asHeard });
  } catch {
    throw new Error(
      'The microphone cannot be used. Plug one in, allow this page to use it in the browser, and try again.',
    );
  }
}
