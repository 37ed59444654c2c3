/**
 * Voice: how a house writes.
 *
 * `reading` counts the prose of a text, `voice` what samples have in common, `spreads` how far they differ among themselves;
 * `voice-lines` say it as rules with figures, `house-voice` is what a house keeps of it and sends along; `nearness` holds a text
 * against it.
 */
export {
  type HouseVoice,
  houseVoice,
  type KeptLine,
  type VoiceAlong,
  voiceAlong,
  voiceRules,
} from './house-voice.ts';
export { type VoiceNearness, type VoiceRemark, voiceNearness } from './nearness.ts';
export { LEAST_SAMPLE_WORDS, learnVoice, type VoiceFigures } from './voice.ts';
