import type { choices as english } from '../en/choices'
import type { Words } from '../teller'
export const choices: Words<typeof english> = {
  'school.maker': 'Las paradas del fabricante',
  'school.marks': 'Marcas',
  'school.rod': 'Varilla y pasado el punto más alto',
  'school.cam-signs': 'Señales del árbol de levas',
  'school.watching': 'Observar la admisión',
  'school.exhaust-opens': 'Escape abre, admisión cerrada',
  'school.partner': 'Válvula compañera abajo',

  'school.maker.help': 'Cada parada como la da el manual, con las válvulas que nombra.',
  'school.marks.help': 'Gire a la marca del punto muerto; el juego de los balancines dice la carrera.',
  'school.rod.help':
    'Siga el pistón con una varilla blanda; pase el punto más alto si un descompresor abre la válvula.',
  'school.cam-signs.help': 'Las señales de la leva o la rueda dentada dicen solas la carrera.',
  'school.watching.help': 'Vea abrir y cerrar una admisión, y siga hasta el punto más alto.',
  'school.exhaust-opens.help':
    'Escape empezando a abrir: ajuste admisiones. Admisión recién cerrada: ajuste escapes. Sin marcas.',
  'school.partner.help': 'Una válvula del todo abajo en un cilindro: su compañera está cerrada.',

  'school.maker.caution': 'Guíese por las letras del manual: cada cilindro tiene la suya.',
  'school.marks.caution': 'La marca es la línea, no la letra. La F y las líneas de avance vienen antes de la T.',
  'school.rod.caution':
    'Madera, paja o plástico: el acero raya el pistón o se atora si el orificio va inclinado. Nunca con el arranque.',
  'school.cam-signs.caution': 'Si hay dos señales a media vuelta, asegúrese de cuál es cuál.',
  'school.watching.caution': 'No aparte la vista entre el cierre y el punto más alto: si la aparta, no vale.',
  'school.exhaust-opens.caution':
    'No sirve si un descompresor abre el escape: puede estar abierto justo después de cerrar la admisión.',
  'school.partner.caution': 'No sirve si un descompresor actúa en esa válvula: puede estar abierta justo ahí.',

  'target.middle': 'El medio de los límites',
  'target.figure': 'La cifra impresa',
  'target.loose-exhaust': 'Escape en su lado flojo',

  'habit.out at torque': 'Lámina fuera al apretar',
  'habit.in': 'Lámina puesta todo el tiempo',
  'habit.out': 'Lámina fuera todo el tiempo',

  'proof.pair': 'Una lámina entra y una más gruesa no',
  'proof.drag': 'Basta con que roce',

  'caution.ready':
    'Cable de bujía fuera y a masa, llave fuera, gasolina cerrada. Escape caliente. Ojos lejos del aire comprimido.',
  'caution.find':
    'El cigüeñal puede patear al pasar la compresión. Solo varilla blanda. Dedos lejos de cadena y rotor.',
  'caution.measure': 'No gire el cigüeñal con una lámina puesta.',
  'caution.set': 'Trapo bajo el balancín: que nada caiga en la culata abierta.',
  'caution.prove': 'Láminas y herramientas fuera antes de girar. Debe girar sin trabarse.',
  'caution.close': 'Pruébelo al aire libre. Gasolina que gotea, escape caliente. Cuente antes trapos y herramientas.',
  'caution.defer': 'Siga el manual del fabricante y las normas locales. Si duda, pregunte a un técnico calificado.',
}
