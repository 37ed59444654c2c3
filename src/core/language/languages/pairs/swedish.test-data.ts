/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
vattentät cykelväska | Vattentäta cykelväskor kostar mer.
cykelsemester | Våra cykelsemestrar varar en vecka, en cykelsemester till
laga cykel | Laga cykeln själv.
laga cykel | Vi lagar cyklar varje dag.
packlista för resan | Packlistan för en resa, packlistor för resor
laga punktering | Att laga punkteringar
köpa hus | Köpa ett hus på landet
köpa hus | Köper du huset? Köpa husen
plantera tomater | Plantera tomaten i maj.
plantera tomater | Vi planterar tomater.
baka bröd | Baka brödet hemma.
baka bröd | Hon bakar bröd.
enkelt recept | Tio enkla recept... ett enkelt recept
nyttig frukost | En nyttig frukost
liten trädgård | En liten trädgård
anlägga trädgård | Anlägga en trädgård
måla vägg | Måla väggen vit.
måla vägg | Måla väggarna.
vit vägg | Vita väggar
träna hund | Träna hunden varje dag.
träna hund | Hundar tränar man, träna hundar
hotell i Malmö | Hotellen i Malmö
hyra bil | Hyra en bil på flygplatsen
hyra bil | Hyr bilen, hyra bilar
bilförsäkring | Bilförsäkringar och bilförsäkringen
jämföra försäkring | Jämföra försäkringar
ny cykel | Nya cyklar
gammal stol | En gammal stol
bygga altan | Bygga altanen
bygga hylla | Bygga hyllor
sko för vandring | Skor för vandringen
vandringsled | Vandringsleder i fjällen
planera resa | Planera resan
skriva blogg | Skriva en blogg
skriva text | Skriva texter
bra text | En bra text
tvätta fönster | Tvätta fönstren
isolera tak | Isolera taket
elcykel batteri | Elcykelns batteri
kasta boll | Kasta bollar
jacka för regn | Jackor för regn
solpanel | Solpaneler på taket
kaffe utan mjölk | Kaffe utan mjölk
röd stuga | Röda stugor
varm tröja | Varma tröjor
lära sig engelska | Lära sig engelska
gå ner i vikt | Gå ner i vikt
koka ris | Koka riset
e-handel | E-handeln växer.
webbutik | Webbutiker
`;

/** The same where an editor would not. */
const strangers = `
vattentät cykelväska | Vatten, en cykel
köpa hus | Köpa en hund
baka bröd | Bakom bordet
koka ris | Kokar en resa
måla vägg | Måla vägen
kaffe utan mjölk | Kaffe med mjölk
resa utan bil | Resa med bil
tåg till Malmö | Tåg från Malmö
karta över stan | Karet över stan
plantera tomater | Plantan, automater
träna hund | Tränaren, hundra
hyra bil | Hyran, bilden
laga cykel | Lagen om cirkeln
hotell i Malmö | Hotet i Malmö
bygga altan | Byn, altaret
bygga hylla | Bygden hyllar
sko för vandring | Skola för vandring
planera resa | Planet, raset
skriva text | Skriken, texten... nej, ingenting
tvätta fönster | Tvåan, mönster
isolera tak | Isen, taket är
kasta boll | Kastrullen, ballong
solpanel | Solen och panelen
kista av ek | Kusten av ek
skola i Lund | Skolla i Lund
sal för fest | Sallad för fest
panna för ved | Pannkaka för ved
katt i hus | Karta i hus
mat för barn | Matta för barn
bar i Lund | Barn i Lund
tal vid bröllop | Tall vid bröllop
lager av virke | Lagra, virka
vit vägg | Vitt skilda vägar
jacka för regn | Jakten för regn
liten trädgård | Littera, trä, gård
röd stuga | Rodd, stega
varm tröja | Vara, tro
ny cykel | Nyckel, cykel nej
gammal stol | Gam och stålar
text på svenska | Test på svenska
boll i mål | Bulle i mål
sten i trädgård | Sten, trädgård
spel för barn | Spegel för barn
färg på trä | Färja på trä
glas i fönster | Gräs i fönster
väska i läder | Vaska läder
pris på el | Präst på el
kurs i tyska | Korsa tyska
båt i hamn | Bot i hamn
lampa i tak | Lamm i tak
`;

export const swedishPairs = { used, strangers };
