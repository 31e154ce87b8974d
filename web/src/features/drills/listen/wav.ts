const BYTES = 2;
const HEADER = 44;

/** Samples of one channel as a WAV file of 16 bits (RIFF, IBM and Microsoft, 1991). */
export function wav(samples: Float32Array, sampleRate: number): Blob {
  const data = new DataView(new ArrayBuffer(HEADER + BYTES * samples.length));
  const text = (at: number, letters: string) =>
    [...letters].forEach((letter, i) => data.setUint8(at + i, letter.charCodeAt(0)));
  text(0, 'RIFF');
  data.setUint32(4, HEADER - 8 + BYTES * samples.length, true);
  text(8, 'WAVEfmt ');
  data.setUint32(16, 16, true);
  data.setUint16(20, 1, true);
  data.setUint16(22, 1, true);
  data.setUint32(24, sampleRate, true);
  data.setUint32(28, BYTES * sampleRate, true);
  data.setUint16(32, BYTES, true);
  data.setUint16(34, 8 * BYTES, true);
  text(36, 'data');
  data.setUint32(40, BYTES * samples.length, true);
  samples.forEach((sample, i) =>
    data.setInt16(HEADER + BYTES * i, Math.round(32767 * Math.max(-1, Math.min(1, sample))), true),
  );
  return new Blob([data], { type: 'audio/wav' });
}
