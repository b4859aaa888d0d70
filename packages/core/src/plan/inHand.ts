import { say, type Sentence } from '../say/index.ts'

/** Every tool that a step can ask for. `heats`: it gives or reads heat, so it goes where a part takes none. */
const toolTable = {
  piece: { says: say`piece` },
  rule: { says: say`rule` },
  'tape measure': { says: say`tape measure` },
  magnets: { says: say`magnets` },
  syringe: { says: say`syringe` },
  'measuring cylinder': { says: say`measuring cylinder` },
  cloth: { says: say`cloth` },
  cloths: { says: say`cloths` },
  'dry cloth': { says: say`dry cloth` },
  'lint-free cloth': { says: say`lint-free cloth` },
  'cloth over the squeegee': { says: say`cloth over the squeegee` },
  clay: { says: say`clay` },
  pad: { says: say`pad` },
  'thin tool': { says: say`thin tool` },
  'masking tape': { says: say`masking tape` },
  'low-tack masking tape': { says: say`low-tack masking tape` },
  'lamp light': { says: say`lamp light` },
  camera: { says: say`camera` },
  'wet hands': { says: say`wet hands` },
  'dry gloves': { says: say`dry gloves` },
  gloves: { says: say`gloves` },
  'wet glove': { says: say`wet glove` },
  'soft squeegee': { says: say`soft squeegee` },
  'firm squeegee': { says: say`firm squeegee` },
  'felt squeegee': { says: say`felt squeegee` },
  'tilted squeegee': { says: say`squeegee at 45°` },
  'thin cord': { says: say`thin cord` },
  'tucking tool': { says: say`tucking tool` },
  scissors: { says: say`scissors` },
  'sharp scissors': { says: say`sharp scissors` },
  knife: { says: say`knife, fresh segment` },
  'sharps box': { says: say`sharps box` },
  'heat gun': { says: say`heat gun, always moving`, heats: true },
  'infra-red thermometer': { says: say`infra-red thermometer`, heats: true },
} as const satisfies Record<string, { readonly says: Sentence; readonly heats?: true }>

export type Tool = keyof typeof toolTable
export const tools = Object.keys(toolTable) as Tool[]
export const toolWords = (tool: Tool): Sentence => toolTable[tool].says
export const heats = (tool: Tool): boolean => 'heats' in toolTable[tool]

/** Every liquid that a step can ask for. */
const liquidTable = {
  slip: say`slip`,
  tack: say`tack`,
  'slip on the face': say`slip on the face`,
  'distilled water': say`distilled water`,
  'water spray': say`water spray`,
  'no-residue wash': say`no-residue wash`,
  'soapy water': say`soapy water`,
  'weak alcohol': say`alcohol up to 70 %, on a cloth`,
  degreaser: say`degreaser`,
  'glue remover': say`glue remover`,
  'coating remover': say`coating remover`,
  'coating solvent': say`solvent for the coat`,
} as const satisfies Record<string, Sentence>

export type Liquid = keyof typeof liquidTable
export const liquids = Object.keys(liquidTable) as Liquid[]
export const liquidWords = (liquid: Liquid): Sentence => liquidTable[liquid]

/** All that has to be in the hand for a step, liquids first. */
export const inHandWords = (step: {
  readonly liquids: readonly Liquid[]
  readonly tools: readonly Tool[]
}): Sentence[] => [...step.liquids.map(liquidWords), ...step.tools.map(toolWords)]
