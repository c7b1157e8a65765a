import type { glossary as english } from '../en/glossary'
import type { Words } from '../teller'

export const glossary: Words<typeof english> = {
  'glossary.title': 'Palabras del oficio',
  'glossary.lead':
    'Una docena de palabras que usa el Banco, cada una con su dibujo. En el Banco, toque una palabra punteada para verla.',
  'glossary.all': 'Todas las palabras',

  'glossary.tdc': 'Punto muerto superior',
  'glossary.tdc.forms': 'PMS|punto muerto superior|punto muerto',
  'glossary.tdc.says':
    'El pistón está lo más alto que llega. Llega ahí dos veces en cada ciclo de dos vueltas, así que la línea T sola no dice cuál de las dos es.',
  'glossary.compression': 'Compresión',
  'glossary.compression.forms': 'PMS de compresión|compresión',
  'glossary.compression.says':
    'La carrera que comprime la mezcla, con las dos válvulas cerradas. Arriba, los dos balancines tienen juego, y ahí se mide la mayoría de las válvulas.',
  'glossary.overlap': 'Cruce',
  'glossary.overlap.forms': 'cruce de válvulas|cruce',
  'glossary.overlap.says':
    'El otro punto muerto del ciclo: el escape está cerrando y la admisión abriendo, así que las dos están un poco abiertas. Ahí no se puede medir nada.',
  'glossary.clearance': 'Holgura',
  'glossary.clearance.forms': 'holgura|holguras',
  'glossary.clearance.says':
    'El espacio entre balancín y vástago con la válvula cerrada. Si es muy poca, la válvula no asienta en caliente. Si es mucha, hace ruido y abre tarde.',
  'glossary.drag': 'Roce',
  'glossary.drag.forms': 'roce|roza',
  'glossary.drag.says':
    'Lo que se siente con la lámina justa: un tirón suave y parejo, como entre dos hojas de papel. Pasa sin forzarla.',
  'glossary.rocker': 'Balancín',
  'glossary.rocker.forms': 'balancín|balancines',
  'glossary.rocker.says':
    'El brazo que abre la válvula. Muévalo con dos dedos: un clic es juego, y si hay juego la válvula está cerrada o casi.',
  'glossary.locknut': 'Contratuerca',
  'glossary.locknut.forms': 'contratuerca|contratuercas',
  'glossary.locknut.says':
    'La tuerca que deja fijo el tornillo de ajuste. Al apretarla jala el tornillo y cambia un poco la holgura, así que se vuelve a probar después de apretar.',
  'glossary.nip': 'Arrimar',
  'glossary.nip.forms': 'arrime|arrimar|arrimada',
  'glossary.nip.says':
    'Bajar la contratuerca apenas hasta que sujete, sin dejar que el tornillo gire. Pruebe la holgura y luego apriete al par.',
  'glossary.decompressor': 'Descompresor',
  'glossary.decompressor.forms': 'descompresor|descompresores',
  'glossary.decompressor.says':
    'Un contrapeso o pasador en el árbol de levas que abre un poco el escape al arrancar, para que gire fácil. En la línea T puede hacer que una válvula buena parezca justa.',
  'glossary.past-top': 'Después del punto muerto',
  'glossary.past-top.forms': 'después del punto muerto|pasado el punto muerto',
  'glossary.past-top.says':
    'Un poco después del PMS, según cuánto bajó el pistón, 6 mm por ejemplo, con una varilla blanda en el hueco de la bujía. Ahí el descompresor ya soltó y las dos válvulas siguen cerradas.',
  'glossary.flat': 'Cara',
  'glossary.flat.forms': 'cara|caras',
  'glossary.flat.says':
    'Un lado de una tuerca hexagonal: un sexto de vuelta, 60°. Media cara son 30°. Sirve para calcular a ojo un giro pequeño.',
  'glossary.prove': 'Comprobar',
  'glossary.prove.forms': 'comprobar|comprobada|comprobación|compruebe',
  'glossary.prove.says':
    'Dar dos vueltas a mano con las tuercas ya apretadas y medir cada válvula otra vez. Solo así se sabe que la holgura se queda.',
}
