/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
alforja impermeable | Las alforjas impermeables cuestan más.
viaje en bicicleta | Nuestros viajes en bicicleta duran una semana.
reparar bicicletas | Aprende a reparar una bicicleta.
reparar bicicletas | Reparamos bicicletas y reparo bicicletas antiguas.
lista de equipaje | La lista del equipaje cabe en una hoja.
comprar una bicicleta | Compra una bicicleta usada.
comprar una bicicleta | Compramos bicicletas de segunda mano.
alquilar coche | Alquila un coche en el aeropuerto.
alquiler de coches | El alquiler del coche incluye seguro.
receta fácil | Diez recetas fáciles para cenar
plantar tomates | Cuándo plantar el tomate
plantar tomates | Planta tomates en mayo.
casa rural | Las casas rurales de Asturias
luz solar | Las luces solares del jardín
pez payaso | Los peces payaso viven en anémonas.
escribir un artículo | Escribe un artículo al mes.
elegir colchón | Cómo elegir el colchón
zapatos de montaña | Un zapato de montaña
ruta de senderismo | Rutas de senderismo en Picos
ropa de abrigo | La ropa de abrigo
pequeño jardín | Jardines pequeños, pequeños jardines
mejor café | Los mejores cafés de Madrid
seguro de hogar | Seguros de hogar baratos
curso de inglés | Los cursos de inglés
aprender inglés | Aprende inglés en casa, aprender bien inglés
perder peso | Cómo perder rápido peso
perder peso | Pierde peso... perdiendo peso poco a poco
cocinar arroz | Cocina arroz en diez minutos.
cocinar arroz | Cocinando arroz para dos
pintar paredes | Pinta una pared: pintar la pared
limpiar ventanas | Limpia la ventana, limpiar las ventanas
hotel en Sevilla | Hoteles en Sevilla
tienda de campaña | Las tiendas de campaña
montar la tienda | Montar una tienda
cambiar rueda | Cambia la rueda delantera.
rueda pinchada | Dos ruedas pinchadas
buscar trabajo | Busca trabajo, busque trabajo ahora
pagar facturas | Pague facturas a tiempo, pagar la factura
hacer pan | Haciendo pan en casa
pan casero | Panes caseros
perro activo | Perros activos
silla infantil | Sillas infantiles
educar al perro | Educar perros
vino tinto | Los vinos tintos
camión eléctrico | Camiones eléctricos
canción triste | Las canciones tristes
reducir gastos | Reduce gastos, reducir los gastos
crear una web | Creamos una web, crea una web
tienda online | Tiendas online
guía de viaje | Guías de viaje
`;

/** The same where an editor would not. */
const strangers = `
alforja impermeable | La forja impermeable
puerto de Málaga | La puerta de Málaga
casa rural | El caso rural
libro infantil | La libra infantil
banco de pruebas | La banca de pruebas
plato de arroz | La plata de arroz
carta de vinos | El carro de vinos
mesa de roble | El mes del roble
pan sin gluten | Pan con gluten
viaje sin coche | Viaje con coche
tren a Madrid | Tren desde Madrid
punto de cruz | La punta de la cruz
peso ideal | El piso ideal
pera dulce | El perro dulce
moda de verano | El modo de verano
cara limpia | El carro limpio
foco de luz | La foca de luz
mango maduro | La manga madura
reparar bicicletas | Preparar bicicletas
comprar una bicicleta | Comparar una bicicleta
plantar tomates | La planta, tomates
cocinar arroz | La cocina. Arroz a la venta
alquilar coche | El alquitrán del coche
ruta de senderismo | Rota de senderos
receta fácil | Recetar, facilidad
seguro de hogar | Seguir el hogar
vino tinto | Vine tanto
hotel en Sevilla | El hostal en Sevilla
jardín pequeño | El jardinero pequeñísimo
curso de inglés | El curioso inglés
ropa de abrigo | La rapa de abril
pintar paredes | Un pintor, parado
luz solar | La luna, solo
pez payaso | El peso, payaso
perder peso | La perdiz, el peso
zapatos de montaña | Zapatería, montaje
limpiar ventanas | Limpiar, ventilar
tienda de campaña | Tiende la campana
rueda pinchada | Rueca pinchada
pagar facturas | El pago, la factura
crear una web | Creer una web
hacer pan | Hacienda y pan
guía de viaje | Guiar al viajero
silla infantil | La silueta infantil
camión eléctrico | El camino eléctrico
canción triste | La cancela triste
reducir gastos | Reducir, gustos
perro activo | Parra activa
costa azul | El costo azul
sal marina | La sala marina
`;

export const spanishPairs = { used, strangers };
