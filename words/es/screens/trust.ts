import type { trust as english } from '../../en/screens/trust'
import type { Words } from '../../teller'

export const trust: Words<typeof english> = {
  'trust.title': 'Wembric en este teléfono',
  'trust.why':
    'Este teléfono todavía no conoce la computadora del taller. Preséntela una vez, en un minuto. Después la conexión entre ambos es segura, y Wembric sigue funcionando cuando se corta.',
  'trust.only-house': 'Lo que instala solo vale para computadoras de esta casa, para nada en internet.',
  'trust.download': 'Descargar el certificado',
  'trust.checking': 'Todavía no confía. Esta línea cambia sola en cuanto lo haga.',
  'trust.works': 'Funciona: este teléfono confía en la computadora del taller.',
  'trust.open': 'Abrir Wembric',
  'trust.then': 'Luego póngalo en la pantalla de inicio',
  'trust.profile-name': 'Wembric, la computadora del taller',
  'trust.profile-about':
    'Permite que este aparato abra Wembric en la computadora del propio taller. Solo vale en esta casa.',
  'trust.iphone': 'iPhone y iPad',
  'trust.iphone-1': 'Toque «Descargar el certificado» en Safari y luego Permitir.',
  'trust.iphone-2': 'Abra Ajustes. Cerca del comienzo, toque «Perfil descargado».',
  'trust.iphone-3': 'Toque Instalar arriba a la derecha, escriba el código del teléfono y toque Instalar otra vez.',
  'trust.iphone-4':
    'En Ajustes, vaya a General, Información y, al final, «Ajustes de confianza de los certificados». Active el de Wembric.',
  'trust.iphone-home': 'En Safari, toque el cuadrado con la flecha y luego «Agregar a inicio».',
  'trust.android': 'Android',
  'trust.android-1': 'Toque «Descargar el certificado».',
  'trust.android-2': 'Abra Ajustes, toque la lupa y busque «certificado de CA».',
  'trust.android-3': 'Toque «Certificado de CA», luego «Instalar de todos modos» y escriba el código del teléfono.',
  'trust.android-4': 'Elija el archivo wembric.crt de sus descargas.',
  'trust.android-home': 'En Chrome, toque los tres puntos y luego «Instalar app» o «Agregar a la pantalla principal».',
  'trust.computer': 'Una computadora',
  'trust.computer-1': 'Haga clic en «Descargar el certificado».',
  'trust.computer-2':
    'Abra el archivo. En Windows: «Instalar certificado» y luego «Entidades de certificación raíz de confianza». En una Mac: agréguelo al llavero Sistema, ábralo allí y elija «Confiar siempre».',
  'trust.computer-3': 'Firefox lo pide en sus propios ajustes, en Certificados.',
  'trust.computer-home': 'Casi todos los navegadores ofrecen instalarlo al final de la barra de direcciones.',
}
