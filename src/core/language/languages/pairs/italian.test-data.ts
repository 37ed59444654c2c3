/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
borsa impermeabile | Le borse impermeabili costano di più.
viaggio in bicicletta | I viaggi in bicicletta durano una settimana.
riparare la bicicletta | Riparare le biciclette è facile.
riparare la bicicletta | Ripara la bicicletta da solo.
assicurazione auto | L'assicurazione dell'auto costa meno.
ricetta facile | Dieci ricette facili per la sera
piantare pomodori | Quando piantare i pomodori
piantare pomodori | Si piantano pomodori a maggio.
comprare casa | Comprano casa in campagna.
casa in legno | Le case in legno
noleggio auto | Il noleggio dell'auto
noleggiare un'auto | Noleggia un'auto in aeroporto.
scarpe da trekking | La scarpa da trekking
corso di inglese | I corsi di inglese
imparare l'inglese | Impara l'inglese: imparare bene l'inglese
pacco regalo | I pacchi regalo
parco giochi | I parchi gioco e i parchi giochi
amico fedele | Gli amici fedeli
luogo tranquillo | Luoghi tranquilli
albergo a Roma | Gli alberghi a Roma
piccolo giardino | I piccoli giardini
cane attivo | Cani attivi e allegri
vino rosso | I vini rossi
migliore caffè | I migliori caffè di Napoli
pulire i vetri | Pulire il vetro
dipingere le pareti | Dipingere la parete
cucinare il riso | Cucina il riso in dieci minuti.
cucinare il riso | Cucinando riso
perdere peso | Perdere subito peso, perdere peso
scrivere un articolo | Scrivi un articolo, scrivere articoli
scegliere il materasso | Scegli il materasso giusto: scegliere un materasso
pane fatto in casa | Il pane fatto in casa
dolce al cioccolato | I dolci al cioccolato
torta di mele | Le torte di mele
tenda da campeggio | Tende da campeggio
montare la tenda | Montare una tenda
cambiare la ruota | Cambia la ruota, cambiare ruote
ruota bucata | Due ruote bucate
luce solare | Le luci solari
energia pulita | L'energia più pulita
camicia bianca | Le camicie bianche
giacca antipioggia | Giacche antipioggia
guida turistica | Guide turistiche
strada panoramica | Strade panoramiche
vacanza al mare | Le vacanze al mare
negozio online | I negozi online
creare un sito | Crea un sito, creare siti
sito web | Siti web veloci
bambino felice | Bambini felici
educare il cane | Educare i cani
`;

/** The same where an editor would not. */
const strangers = `
borsa impermeabile | La borsetta, il permesso
porto di Genova | La porta di Genova
posto auto | La posta auto
caso studio | La casa studio
banco di prova | La banca di prova
foglio bianco | La foglia bianca
modo di vivere | La moda di vivere
punto croce | La punta della croce
costo della vita | La costa della vita
colpo di fortuna | La colpa della fortuna
pasto veloce | La pasta veloce
peso forma | Il pesce forma
pane senza glutine | Pane con glutine
viaggio senza auto | Un viaggio con l'auto
treno verso Roma | Treno da Roma
mela verde | Il miele verde
cane di razza | La canna di razza
riso in bianco | Il viso in bianco
carta da regalo | Il carro da regalo
viaggio in bicicletta | Il villaggio, la bicicletta
riparare la bicicletta | Preparare la bicicletta
piantare pomodori | La pianta, i pomodori
comprare casa | Comparare le cose
casa in legno | La cassa di lego
ricetta facile | Ricevere facilmente
vino rosso | Vivo rosso
corso di inglese | La corsia inglese
scarpe da trekking | La sciarpa da trekking
pulire i vetri | Polire, i vecchi
cucinare il riso | La cucina. Il riso costa
perdere peso | Perdonare, pesare
tenda da campeggio | La tendina del campo
ruota bucata | La rosa bucata
luce solare | La lucertola, sola
guida turistica | Il turista guida
strada panoramica | La strega, il panorama
negozio online | Negoziare online
creare un sito | Credere al sito
bambino felice | La bambola felice
torta di mele | Torto e mele
camicia bianca | Il camice e il banco
albergo a Roma | L'albero a Roma
amico fedele | L'amo fedele
luogo tranquillo | Lungo e tranquillo
parco giochi | Il parcheggio, giochi
pacco regalo | La pace, il regalo
sale marino | La sala marina
collo alto | La colla alta
pala da neve | Il palo nella neve
mostra d'arte | Il mostro d'arte
`;

export const italianPairs = { used, strangers };
