/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
sacoche étanche | Des sacoches étanches pour la pluie
sacoches vélo | Les sacoches de vélo coûtent cher.
assurance vélo | L'assurance du vélo couvre le vol.
assurance habitation | Prenez une assurance d'habitation.
réparer un vélo | Comment réparer des vélos anciens
réparer un vélo | Elle répare un vélo par jour, et répare vélo après vélo.
voyage à vélo | Nos voyages à vélo durent une semaine.
liste de matériel | La liste du matériel tient sur une page.
acheter un vélo | Il achète un vélo, nous achetons des vélos d'occasion.
louer une tente | Louez une tente à la gare.
louer une tente | Les tentes se louent, on loue une tente.
pneu crevé | Deux pneus crevés en un jour
changer une roue | Changez la roue avant.
planter des tomates | On plante les tomates en mai.
recette facile | Dix recettes faciles pour le soir
cheval à louer | Des chevaux à louer près du lac
gâteau au chocolat | Les gâteaux au chocolat se gardent trois jours.
écrire un article | Écrivez un article chaque mois : écrire des articles
écrire une lettre | Vous écrivez une lettre de motivation.
choisir un matelas | Comment bien choisir son matelas
choisir un matelas | Choisissez un matelas ferme.
chaussures de randonnée | La chaussure de randonnée idéale
randonnée en montagne | Les randonnées en montagne
vêtements chauds | Un vêtement chaud suffit.
nouvelle maison | Les nouvelles maisons du quartier
belle plage | De belles plages près de Nice
meilleur café | Les meilleurs cafés de Lyon
petit jardin | Aménager de petits jardins
jardin bio | Un jardin entièrement bio
prêt immobilier | Les prêts immobiliers coûtent moins.
location de voiture | Les locations de voitures à l'aéroport
cours de yoga | Un cours de yoga le matin
maison en bois | Construire une maison en bois
construire une maison | Nous construisons, construire sa maison prend un an.
perdre du poids | Perdre vite du poids
enfant heureux | Une enfance, des enfants heureux
apprendre l'anglais | J'apprends l'anglais : apprendre l'anglais en ligne
e-commerce | Un site d'ecommerce
site web | Créer des sites web rapides
créer un site | Elle crée un site, créez un site
cuisine d'été | Des cuisines d'été
filet de sécurité | Les filets de sécurité
coudre une robe | Coudre des robes
peindre un mur | Peindre le mur en blanc
mur blanc | Les murs blancs
arbre fruitier | Tailler les arbres fruitiers
tailler un arbre | Taillez les arbres en hiver.
chien actif | Des chiens actifs
table de camping | Tables de camping pliantes
hôtel à Paris | Des hôtels à Paris
`;

/** The same where an editor would not. */
const strangers = `
sacoche étanche | Une sache et un étang
cours de yoga | La cour du yogi
poisson grillé | Le poison grille
voyage à vélo | Les voyageurs, le vélo
vent du nord | Vente dans le nord
porter un sac | La porte et un sac
marier sa fille | La mairie, sa fille
mois de mai | Moi, en mai
pain sans gluten | Pain avec gluten
vélo sans freins | Un vélo avec freins
temps de cuisson | La tempe, la cuisson
tasse de thé | Un tas de terre
louer une tente | Une tante à louer
peindre un mur | Un peigne mûr
assurance vélo | Assurer, c'est dur. Vélo rouge.
banque en ligne | Le banquet en ligne
changer une roue | Le change, la roue
cheval à louer | Cheveux à laver
nouvelle maison | La neuve saison
lire un livre | Le lit et la livre
acheter un vélo | Un acte, un vol
repas léger | Reposer léger
salle de bain | Le sel de bain
cadre en bois | Le cadran en bois
maison en bois | Maison, puis le bois
randonnée en montagne | Donnée en montage
recette facile | Recevoir facilement
liste de prix | L'artiste et le prix
mer calme | La mère calme
vin rouge | Vingt rouges
chaussures de sport | Chaussée du port
train de nuit | Un trait de nuit
café moulu | Café, moules
plan de travail | Une plante de travail
table basse | Tableau bas
pomme de terre | Pompe de terre
carte routière | Le carton de route
coude douloureux | Coudre, doux
jardin bio | Le jardinier, la biologie
feu de bois | Feuille de bois
cerise noire | Une crise noire
bateau à voile | Le bâton, la voile
hôtel à Paris | L'hôte a Paris
écran plat | L'écrin plat
service client | Servir le client
fil à coudre | La file, le coude
permis moto | Permettre la moto
voiture neuve | Voilure neuve
lettre de motivation | Letton motivé
chien actif | Chienne d'activité
`;

export const frenchPairs = { used, strangers };
