/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
Radreise Packliste | Die Packliste für die Radreise passt auf eine Seite.
Radreise | Zwei Radreisen im Jahr sind genug.
wasserdichte Packtaschen | Eine wasserdichte Packtasche kostet mehr.
wasserdichte Packtaschen | Mit wasserdichten Packtaschen bleibt alles trocken.
Fahrrad reparieren | Wer sein Fahrrad selbst repariert, spart Geld.
Fahrrad reparieren | Fahrräder reparieren wir in der Werkstatt.
Reifen flicken | Den Reifen flickt man in zehn Minuten.
Reifen flicken | Ein geflickter Reifen hält lange, Reifen flicken lernt jeder.
Zelt aufbauen | Das Zelt aufbauen geht zu zweit schneller.
Schlafsack waschen | Schlafsäcke waschen Sie bei dreißig Grad.
Kette ölen | Die Kette ölen wir nach jedem Regen.
Kette ölen | Geölte Ketten laufen leiser, also Ketten ölen.
Tour planen | Eine Tour planen heißt rechnen.
Tour planen | Touren plant man am Küchentisch, man plant Touren abends.
Kinderanhänger mieten | Kinderanhänger mieten Sie am Hafen.
Ferienwohnung an der Nordsee | Ferienwohnungen an der Nordsee sind im Mai günstig.
Ferienwohnung Nordsee | Unsere Ferienwohnung an der Nordsee hat zwei Zimmer.
Bremsbeläge wechseln | Wann Sie Bremsbeläge wechseln sollten
Bremsbeläge wechseln | Einen Bremsbelag wechselt man selbst.
Anleitung für Anfänger | Eine Anleitung für jeden Anfänger
Kaffee rösten | Wir rösten Kaffee jeden Dienstag.
Kaffee rösten | Kaffee selbst rösten ist leicht.
Steuererklärung machen | Die Steuererklärung machen viele zu spät.
Garten anlegen | Gärten anlegen kostet Zeit.
Hochbeet bauen | Ein Hochbeet baut man an einem Tag.
Hochbeet bauen | Hochbeete bauen wir aus Lärche.
Tomaten pflanzen | Die Tomate pflanzen wir im Mai.
Brot backen | Brote backen ohne Hefe
Hund erziehen | Einen Hund erziehen braucht Geduld, Hunde erziehen auch.
Katze füttern | Wie oft man Katzen füttert
E-Bike Akku | Der E-Bike-Akku gehört im Winter ins Haus.
Online Shop | Ein Onlineshop braucht gute Bilder.
Onlineshop | Unser Online-Shop ist offen.
Newsletter schreiben | Einen Newsletter schreiben Sie am besten morgens.
gute Texte schreiben | Wie man gute Texte schreibt
gesunde Rezepte | Ein gesundes Rezept für den Abend
gesundes Frühstück | Mit einem gesunden Frühstück beginnt der Tag.
günstige Flüge | Günstiger Flug nach Rom, günstige Flüge nach Wien
neues Fahrrad kaufen | Wer ein neues Fahrrad kauft, sollte Probe fahren.
gebrauchtes Fahrrad kaufen | Gebrauchte Fahrräder kaufen Sie im Herbst.
Wohnung streichen | Wohnungen streichen lassen oder selbst machen
Rückenschmerzen Übungen | Diese Übungen bei Rückenschmerzen helfen.
Yoga Übungen | Fünf Übungen aus dem Yoga
Wandern in den Alpen | Beim Wandern in den Alpen zählt das Wetter.
Schuhe für Wanderungen | Der Schuh für die Wanderung
Lebenslauf schreiben | Den Lebenslauf schreiben Sie zuletzt.
Kündigung schreiben | So schreiben Sie eine Kündigung: Kündigungen schreiben leicht gemacht
Fenster putzen | Fenster putzt man nicht in der Sonne.
Ladestation für Elektroautos | Eine Ladestation für das Elektroauto
Solaranlage mieten | Solaranlagen mieten oder kaufen
`;

/** The same where an editor would not. */
const strangers = `
Radreise Packliste | Die Radreise beginnt, und dann fehlt die Karte.
Reis kochen | Auf der Reise kochen wir selbst.
Reise nach Rom | Eine Reise von Rom aus
Fahrrad | Die Fahrt dauert eine Stunde.
Schule finden | Die Schuld finden wir nie.
Wand streichen | Wandern und streichen
Kiste bauen | Die Küste bauen wir nicht zu.
Kissen nähen | Küssen und nähen
Mutter Geschenk | Das Muster als Geschenk
Tasse kaufen | Eine Tasche kaufen
Packtasche | Das Paket liegt auf dem Tisch.
Zelt ohne Stangen | Ein Zelt mit Stangen
Zelt mieten | Die Zeit mieten wir nicht.
Hund ohne Leine | Der Hund an der Leine
Kaffee ohne Milch | Kaffee mit Milch
Universum erklären | Die Universität erklären
Bank überfall | Banane überall
Flug buchen | Der Fluch der Buchen
Buche fällen | Das Buch fällt.
Steuer senken | Der Steuermann sinkt.
Leiter kaufen | Der Leitfaden zum Kauf
Brot backen | Das Boot packen
Haus streichen | Hausen und schleichen
Kette ölen | Die Kätzchen und das Öl
Bremse einstellen | Bremsen. Einstellen lassen sich andere.
Tour planen | Die Touristen, planlos
Garten anlegen | Die Garantie anlegen
Reifen flicken | Reif für die Insel
Tomaten pflanzen | Automaten pflanzen
Schuh putzen | Die Schule putzen
Auto verkaufen | Der Autor verkauft nichts.
Kind erziehen | Kinder. Ziehen Sie um.
Wohnung mieten | Die Wohnung, mieten Sie lieber ein Haus
Foto drucken | Das Foto nicht drucken
Rechnung schreiben | Rechnen und schreiben
Arbeitszimmer absetzen | Das Zimmer absetzen
Ferienwohnung Nordsee | Ferien, Wohnung, Nordsee
Lebenslauf Muster | Das Leben und der Lauf der Dinge
Kuchen backen | Die Küche. Backen macht Spaß.
Fische fangen | Der Fisch ist frisch. Morgen fangen wir an.
Nadel kaufen | Eine Nudel kaufen
Spiel kaufen | Das Spiegelbild kaufen
Wetter Wien | Wetten in Wien
Messe Köln | Das Messer aus Köln
Last tragen | Die Liste tragen
Kamin reinigen | Die Kamille reinigt
Rad fahren lernen | Rat fahren lernen
Hafen Hamburg | Der Hafer aus Hamburg
Masse berechnen | Die Messe berechnen
Decke waschen | Der Deckel beim Waschen
`;

export const germanPairs = { used, strangers };
