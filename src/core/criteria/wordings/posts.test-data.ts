/** A short post in order, in each language beside English: sections speak of their headings. */
export const POSTS: Record<string, { keyword: string; other: string; title: string; md: string }> = {
  de: {
    keyword: 'wasserdichte Packtaschen',
    other: 'Kaffeemaschine entkalken',
    title: 'Wasserdichte Packtaschen für die Radreise',
    md: `Wasserdichte Packtaschen halten Kleidung und Schlafsack auch nach einem langen Regentag trocken. Wer eine Woche am Kanal entlangfährt, braucht zwei davon.

## Der Rollverschluss

Der Rollverschluss wird dreimal umgeschlagen und dann seitlich geschlossen. Ein Verschluss, der nur einmal gerollt ist, lässt Wasser durch. Prüfen Sie den Verschluss vor jeder Fahrt.

## Nähte und Haken

Eine geschweißte Naht ist dicht, eine geklebte löst sich mit der Zeit. Die Haken der Tasche sollen zum Gepäckträger passen. Ein Haken, der klappert, reibt ein Loch in die Naht.

## Pflege nach der Fahrt

Nach der Fahrt spült man Salz und Sand mit klarem Wasser ab. Die Packtaschen trocknen offen im Schatten. Ein Tropfen Öl an den Haken schützt sie bis zur nächsten Fahrt. So bleiben die Taschen viele Jahre dicht.`,
  },
  fr: {
    keyword: 'sacoches étanches',
    other: 'détartrer une cafetière',
    title: 'Des sacoches étanches pour le voyage à vélo',
    md: `Les sacoches étanches gardent les vêtements au sec même après une longue journée de pluie. Pour une semaine le long du canal, deux sacoches suffisent.

## La fermeture à rouler

La fermeture se roule trois fois avant d'être attachée sur le côté. Une fermeture roulée une seule fois laisse passer l'eau. Vérifiez la fermeture avant chaque départ.

## Coutures et crochets

Une couture soudée est étanche, une couture collée se défait avec le temps. Les crochets de la sacoche doivent convenir au porte-bagages. Un crochet qui bouge use la couture.

## Entretien après le voyage

Après le voyage, on rince le sel et le sable à l'eau claire. Les sacoches sèchent ouvertes à l'ombre. Une goutte d'huile sur les crochets les protège jusqu'au prochain voyage. Ainsi les sacoches restent étanches pendant des années.`,
  },
  es: {
    keyword: 'alforjas impermeables',
    other: 'descalcificar la cafetera',
    title: 'Alforjas impermeables para viajar en bicicleta',
    md: `Las alforjas impermeables mantienen la ropa seca incluso después de un largo día de lluvia. Para una semana junto al canal bastan dos alforjas.

## El cierre enrollable

El cierre se enrolla tres veces y se sujeta a los lados. Un cierre enrollado una sola vez deja pasar el agua. Revise el cierre antes de cada salida.

## Costuras y ganchos

Una costura soldada es impermeable, una costura pegada se abre con el tiempo. Los ganchos de la alforja deben encajar en el portaequipajes. Un gancho que se mueve desgasta la costura.

## Cuidado después del viaje

Después del viaje se enjuagan la sal y la arena con agua limpia. Las alforjas se secan abiertas a la sombra. Una gota de aceite en los ganchos los protege hasta el próximo viaje. Así las alforjas siguen siendo impermeables durante años.`,
  },
  it: {
    keyword: 'borse impermeabili',
    other: 'decalcificare la caffettiera',
    title: 'Borse impermeabili per viaggiare in bicicletta',
    md: `Le borse impermeabili tengono asciutti i vestiti anche dopo una lunga giornata di pioggia. Per una settimana lungo il canale bastano due borse.

## La chiusura arrotolabile

La chiusura si arrotola tre volte e si fissa ai lati. Una chiusura arrotolata una volta sola lascia passare l'acqua. Controllate la chiusura prima di ogni partenza.

## Cuciture e ganci

Una cucitura saldata è impermeabile, una cucitura incollata si apre con il tempo. I ganci della borsa devono adattarsi al portapacchi. Un gancio che si muove consuma la cucitura.

## Cura dopo il viaggio

Dopo il viaggio si sciacquano il sale e la sabbia con acqua pulita. Le borse si asciugano aperte all'ombra. Una goccia d'olio sui ganci li protegge fino al prossimo viaggio. Così le borse restano impermeabili per anni.`,
  },
  nl: {
    keyword: 'waterdichte fietstassen',
    other: 'koffiezetter ontkalken',
    title: 'Waterdichte fietstassen voor de fietsvakantie',
    md: `Waterdichte fietstassen houden kleren en slaapzak droog, ook na een lange dag in de regen. Voor een week langs het kanaal heb je er twee nodig.

## De rolsluiting

De rolsluiting wordt drie keer omgeslagen en dan opzij vastgemaakt. Een sluiting die maar één keer is gerold, laat water door. Controleer de sluiting voor elke rit.

## Naden en haken

Een gelaste naad is dicht, een gelijmde naad laat op den duur los. De haken van de tas moeten op de bagagedrager passen. Een haak die rammelt, slijt een gat in de naad.

## Onderhoud na de rit

Na de rit spoel je zout en zand met schoon water af. De fietstassen drogen open in de schaduw. Een druppel olie op de haken beschermt ze tot de volgende rit. Zo blijven de tassen jarenlang waterdicht.`,
  },
  pt: {
    keyword: 'alforjes impermeáveis',
    other: 'descalcificar a cafeteira',
    title: 'Alforjes impermeáveis para viajar de bicicleta',
    md: `Os alforjes impermeáveis mantêm a roupa seca mesmo depois de um longo dia de chuva. Para uma semana junto ao canal bastam dois alforjes.

## O fecho de enrolar

O fecho enrola-se três vezes e prende-se dos lados. Um fecho enrolado uma só vez deixa passar a água. Verifique o fecho antes de cada saída.

## Costuras e ganchos

Uma costura soldada é impermeável, uma costura colada abre com o tempo. Os ganchos do alforje devem servir no bagageiro. Um gancho que se mexe gasta a costura.

## Cuidados depois da viagem

Depois da viagem lavam-se o sal e a areia com água limpa. Os alforjes secam abertos à sombra. Uma gota de óleo nos ganchos protege-os até à próxima viagem. Assim os alforjes continuam impermeáveis durante anos.`,
  },
  sv: {
    keyword: 'vattentäta cykelväskor',
    other: 'avkalka kaffebryggare',
    title: 'Vattentäta cykelväskor för cykelsemestern',
    md: `Vattentäta cykelväskor håller kläder och sovsäck torra även efter en lång dag i regnet. För en vecka längs kanalen behövs två väskor.

## Rullstängningen

Rullstängningen viks tre gånger och fästs sedan på sidan. En stängning som bara är rullad en gång släpper in vatten. Kontrollera stängningen före varje tur.

## Sömmar och krokar

En svetsad söm är tät, en limmad söm lossnar med tiden. Väskans krokar ska passa pakethållaren. En krok som skramlar sliter hål i sömmen.

## Skötsel efter turen

Efter turen sköljer man bort salt och sand med rent vatten. Cykelväskorna torkar öppna i skuggan. En droppe olja på krokarna skyddar dem till nästa tur. På så sätt förblir väskorna vattentäta i många år.`,
  },
};
