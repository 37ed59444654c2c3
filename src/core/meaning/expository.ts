import { stem } from '../language/index.ts';

/**
 * Words with which any explains its subject, whatever it is: they are common in what is written and rare in what is
 * spoken, so that counts of speech take them for words of a subject. As base forms.
 */
const WORDS =
  'example default option use used using user usage create created specify specified following follow followed contain content contents ' +
  'provide provided provides support supported require required requirement allow allowed enable enabled disable disabled ' +
  'define defined definition describe described description detail details detailed section chapter appendix paragraph page note notes ' +
  'reference referenced overview introduction summary conclusion etc method approach process procedure purpose feature features ' +
  'function behavior behaviour result results return returned value values type types name named names number numbers list lists ' +
  'listed item items set sets setting settings parameter parameters argument arguments instead however therefore thus hence ' +
  'otherwise simply typically usually generally normally certain various several specific specifically particular particularly similar ' +
  'similarly additional additionally available possible possibly necessary appropriate relevant currently current previous previously ' +
  'next corresponding respective respectively single multiple different difference differences common commonly recommended recommend ' +
  'suggest suggested consider considered important importantly useful simple complex basic basics advanced main new old optional ' +
  'implementation implement implemented version versions documentation document manual guide tutorial see also below above within ' +
  'perform performed execute executed run running apply applied add added adding remove removed removing change changed changes ' +
  'changing modify modified update updated updating display displayed show shown shows output input ' +
  'indicate indicated represent represented refer referred refers called call calls given give gives based base consist consists ' +
  'explain explained explanation discuss discussed mention mentioned ensure handle handled avoid prevent cause caused affect affected ' +
  'determine determined depend depends depending dependent treat treated interpret interpreted assume assumed exist exists existing ' +
  'occur occurs occurred appear appears appeared begin begins start starts started starting end ends ended ending stop continue ' +
  'command commands form forms part parts kind kinds sort way ways means mean times place step ' +
  'steps situation situations situation problem problems issue issues warning warnings question questions answer answers ' +
  'info information entry entries attribute attributes ' +
  'default standard standards convention conventions explicitly implicitly ' +
  'directly separately easily quickly properly correctly exactly entirely completely fully slightly significantly effectively effective ' +
  'non pre copyright license licence author authors ' +
  'site web online click button topic topics article articles read reader ' +
  'readers write writer written best better good great well top tip tips need needs want wants help helps ' +
  'helpful make makes made making take takes taken keep keeps kept get gets got go goes going come comes bring brings look looks ' +
  'looking think know known find found try tried ask asked say says said tell told work works worked working choose chosen ' +
  'people person everyone someone anyone everything something anything install installed installing configure configured setup license contribute contributing contribution compatible compatibility export exports import ' +
  'specify optional exception point points copyright lot lots bit left right side extra actual actually real really whole fine sure likely able unable ready enough aware ' +
  'related combine combined don couldn doesn isn wasn aren ordinary usual typical respective overall';

export const EXPOSITORY: ReadonlySet<string> = new Set(WORDS.split(' '));

const stems = new Set([...EXPOSITORY].map(stem));

/** Whether a word is one with which anything is explained. */
export const isExpositoryWord = (word: string): boolean => stems.has(stem(word));

/** Whether a stem is one of a word with which anything is explained. */
export const isExpository = (stemText: string): boolean => stems.has(stemText);
