/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
waterdichte fietstas | Waterdichte fietstassen kosten meer.
fietsvakantie | Onze fietsvakanties duren een week.
fiets repareren | Fietsen repareren doen we zelf.
fiets repareren | Wie zijn fiets repareert, spaart geld.
band plakken | Banden plakken is niet moeilijk.
band plakken | Een band plakt u in tien minuten.
paklijst voor fietsvakantie | De paklijst voor een fietsvakantie
tent opzetten | Tenten opzetten met z'n tweeën
huis kopen | Huizen kopen in de stad
huis kopen | Wie een huis koopt, leest dit.
boom planten | Bomen planten in het najaar
tomaten planten | Wanneer plant u tomaten? Tomaten planten in mei
brief schrijven | Brieven schrijven is een kunst.
brood bakken | Broden bakken zonder gist
brood bakken | Zelf brood bakken
recept voor soep | Recepten voor soep
makkelijk recept | Tien makkelijke recepten
gezond ontbijt | Een gezonde ontbijttafel, een gezond ontbijt
groene muur | Groene muren in huis
witte muur verven | Een witte muur verven
kleine tuin | In kleine tuinen, een kleine tuin
tuin aanleggen | Een tuin aanleggen kost tijd.
hond opvoeden | Honden opvoeden vraagt geduld.
kat voeren | Katten voeren
kinderfiets kopen | Kinderfietsen kopen
hotel in Utrecht | Hotels in Utrecht
auto huren | Auto's huren op Texel
auto huren | Huur een auto, een auto huren
autoverzekering | Autoverzekeringen vergelijken
verzekering vergelijken | Verzekeringen vergelijken
webwinkel beginnen | Een webwinkel beginnen
webshop | Een web-shop beginnen
e-bike accu | De accu van de e-bike
nieuwe fiets | Nieuwe fietsen
oude kast | Oude kasten opknappen
kast bouwen | Kasten bouwen
schoen voor wandelen | Schoenen voor het wandelen
wandelroute | Wandelroutes door het bos
route plannen | Routes plannen
reis plannen | Een reis plannen
foto afdrukken | Foto's afdrukken
blog schrijven | Blogs schrijven
goede tekst | Goede teksten
tekst schrijven | Teksten schrijven
raam wassen | Ramen wassen
dak isoleren | Daken isoleren
bal gooien | Ballen gooien
man en vrouw | Mannen en vrouwen
jas voor regen | Jassen voor de regen
zonnepanelen huren | Een zonnepaneel huren
`;

/** The same where an editor would not. */
const strangers = `
waterdichte fietstas | Water en een fiets
kaas maken | De kaart maken
band plakken | De bank plakt
huis kopen | De haas koopt niets
reis plannen | De rijst, plannen
boom planten | De boon planten
brood bakken | Breed bakken
brief schrijven | Kort. Schrijven is leuk
tent opzetten | De tante opzetten
brood zonder gist | Brood met gist
reis zonder auto | Reis met auto
trein naar Gent | Trein van Gent
hond opvoeden | Hondsdolheid, opvoeding
kat voeren | De kater voert
kast bouwen | Het kasteel bouwen
muur verven | De mier verft
tuin aanleggen | De teen aanleggen
hotel in Utrecht | Het hostel in Utrecht
auto huren | De auteur huurt
wandelroute | De wand en de route
raam wassen | De room wassen
dak isoleren | De dokter isoleren
bal gooien | De balie gooit
schoen | De schoonmaker
foto afdrukken | De fout afdrukken
webwinkel beginnen | Het web. Winkel beginnen
recept voor soep | De receptie voor soep
gezond ontbijt | De gezel ontbijt
kamer verven | De kameraad verft
boter smelten | De boot smelt
les geven | De lus geven
glas wassen | Het gras wassen
soort kiezen | De sport kiezen
week plannen | Weken in water, plannen
nota sturen | De noot sturen
kaart lezen | Het kaartje... lezen we later en nog veel meer, lezen
tekst schrijven | Test schrijven
jas voor regen | Het jasmijnblad, regen
fiets repareren | De fitter repareert
tomaten planten | Automaten planten
koek bakken | De kok bakt
vis vangen | De vos vangen
maan bekijken | De man bekijken
rok naaien | De rook naaien
bot breken | De boot breken
pen kopen | De pan kopen
zon zien | De zoon zien
vak leren | De vaas leren
tas maken | De taak maken
zak dragen | De zaag dragen
`;

export const dutchPairs = { used, strangers };
