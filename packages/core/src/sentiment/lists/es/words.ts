import type { LanguageWords } from '../grammar.ts'
import { spanishEndings } from './endings.ts'
import { furtherSpanishIdioms } from './idioms.ts'
import { furtherSpanishWords } from './moreWords.ts'

export const spanish: LanguageWords = {
  words: {
    ...furtherSpanishWords,
    '3.2': `excelente excelentes magnífico magnífica maravilloso maravillosa maravillosos perfecto perfecta perfectos perfectamente increíble
      increíbles fantástico fantástica espectacular espectaculares extraordinario genial geniales estupendo estupenda estupendos
      fabuloso impresionante impresionantes inmejorable inmejorables delicioso deliciosa deliciosos encanta encantó encantado encantada
      encantados encantan riquísimo riquísima buenísimo buenísima inolvidable impecable impecables mejor mejores sobresaliente sublime
      precioso preciosa preciosas chulo bravo joya lujo`,
    '2.2': `bueno buena buenos buenas buen bien bonito bonita bonitos bonitas agradable agradables amable amables simpático simpática
      simpáticos atento atenta atentos cercano servicial serviciales profesional profesionales eficiente eficaz rápido rápida rápidos
      rápidamente limpio limpia limpios cómodo cómoda cómodos tranquilo tranquila satisfecho satisfecha satisfechos contento contenta
      contentos feliz felices recomiendo recomendamos recomendable recomendado gracias placer rico rica ricos sabroso sabrosa fresco
      fresca generoso abundante gusta gustó gustado gustan puntual puntuales práctico fácil útil divertido divertida gracioso emocionante
      interesante interesantes logrado calidad acogedor acogedora disfrutar disfrutamos disfruté alegría sonrisa fiable ideal económico
      asequible razonable felicidades enhorabuena perfección paciente encantador encantadora hermoso hermosa ayudó ayudaron volveremos volveré`,
    '-1.6': `caro cara caros caras lento lenta lentos lentas retraso retrasos tarde ruidoso ruidosa frío fría fríos soso sosa       espera esperar esperando esperamos cola colas problema problemas avería falta decepcionante complicado difícil aburrido
      aburrida roto rota cansado mediocre insuficiente incómodo incómoda cancelado cancelada cancelaron cancelación
      queja quejas error errores confuso olvidado inútil lamento desgraciadamente lástima grasiento crudo cruda regular defecto
      sucio-poco caótico estropeado`,
    '-2.4': `malo mala malos malas mal peor decepción decepcionado decepcionada decepcionados sucio sucia sucios suciedad grosero grosera
      groseros maleducado maleducada maleducados desagradable desagradables antipático antipática incompetente incompetentes timo estafa
      estafadores robo ladrones vergüenza vergonzoso vergonzosa inaceptable inadmisible lamentable patético ridículo evitar eviten huir
      perdido perdimos arruinado rabia furioso enfadado enfadada indignado insoportable asco asqueroso asquerosa podrido catástrofe
      desastre desastroso pesadilla mentira mentiras mentirosos desprecio deplorable odio fatal basura nefasto pésima-atención engaño caos`,
    '-3.2': `horrible horribles terrible terribles pésimo pésima pésimos espantoso espantosa horroroso horrorosa atroz peores repugnante`,
  },
  whenNegated: {
    '-2': `recomiendo volveré volveremos volver vuelvo funciona funcionaba funcionó vale responde respondió responden respuesta avisó avisaron avisado
      informó informaron información ayuda ayudó disculpa disculpas llegó llega sabor sentido interés contestan contesta sirve devuelven`,
  },
  negators: `no nunca jamás nada nadie ningún ninguna ninguno ni sin tampoco`,
  intensifiers: {
    '1.3': `muy realmente tan extremadamente súper super totalmente absolutamente especialmente todo completamente demasiado verdaderamente siempre`,
  },
  softeners: { '0.7': `bastante algo poco casi relativamente` },
  contrast: `pero sino embargo aunque-bien`,
  concession: `aunque pese`,
  joiners: `y e o u ni`,
  idioms: {
    ...furtherSpanishIdioms,
    '-1.8': [
      'se rompió',
      'se ha roto',
      'dejó de funcionar',
      'no funciona',
      'demasiado caro',
      'tan poca calidad',
      'mala calidad',
      'deja mucho que desear',
      'deja que desear',
      'nunca más',
      'no compren',
      'no vuelvo',
      'no volveremos',
      'una pena',
      'ni hablar',
      'podría ser mejor',
      'hubiera sido',
      'habría sido',
    ],
    '2.4': [
      'vale la pena',
      'vale cada',
      'de maravilla',
      'sin dudar',
      'sin duda',
      'nunca _ tan bien',
      'nunca _ tan buena',
      'nunca _ tan bueno',
      'no puedo pedir más',
      'no se puede pedir más',
      'de lujo',
      'da gusto',
      'un acierto',
      'volveremos',
      'repetiremos',
      'no está mal',
      'nada mal',
      'sin problemas',
      'sin problema',
      'ningún problema',
      'vale la pena',
      'merece la pena',
      'cien por cien',
      'a tiempo',
      'muy recomendable',
      'sin duda',
      'no decepciona',
      'buena relación calidad',
      'para repetir',
      'repetiremos',
      'de lujo',
      'una pasada',
      'gran experiencia',
      'nada que objetar',
      'lo mejor',
      'de maravilla',
    ],
    '0.1': [
      'buenos días',
      'buenas tardes',
      'buenas noches',
      'más bien',
      'si bien',
      'o bien',
      'más o menos',
      'por la tarde',
      'de la tarde',
      'a última hora',
      'primera vez',
      'esta tarde',
    ],
    '-2.4': [
      'nunca más',
      'no volveré',
      'no volveremos',
      'no recomiendo',
      'no lo recomiendo',
      'no vale',
      'deja mucho que desear',
      'pérdida de tiempo',
      'pérdida de dinero',
      'tomadura de pelo',
      'muy caro',
      'demasiado caro',
      'no funciona',
      'no contestan',
      'nadie avisó',
      'nadie nos avisó',
      'nadie avisa',
      'sin avisar',
      'sin información',
      'falta de',
      'hoja de reclamaciones',
      'ni caso',
      'de mal en peor',
      'ni una disculpa',
      'qué vergüenza',
      'nada bueno',
      'no aparece',
      'ojalá',
    ],
  },
  elision: false,
  endings: spanishEndings,
}
