/** Keywords, each with a text in which an editor would call it used: `keyword | text`. */
const used = `
bolsa impermeável | As bolsas impermeáveis custam mais.
viagem de bicicleta | As viagens de bicicleta duram uma semana.
consertar bicicletas | Aprenda a consertar uma bicicleta.
consertar bicicletas | Ele conserta bicicletas.
lista de bagagem | As listas de bagagem
comprar um carro | Compre um carro usado.
comprar um carro | Compramos carros usados: comprar carros
alugar carro | Alugue um carro no aeroporto.
alugar carro | Alugamos carros no centro.
aluguel de carros | O aluguel do carro
receita fácil | Dez receitas fáceis para o jantar
plantar tomates | Quando plantar o tomate
plantar tomates | Plante tomates em maio.
casa de madeira | Casas de madeira
hotel em Lisboa | Hotéis em Lisboa
pão caseiro | Pães caseiros
fazer pão | Fazendo pão em casa
avião barato | Aviões baratos
coração saudável | Corações saudáveis
homem elegante | Homens elegantes
jardim pequeno | Jardins pequenos
animal doméstico | Animais domésticos
papel reciclado | Papéis reciclados
lençol branco | Lençóis brancos
escrever um artigo | Escreva um artigo por mês.
escolher colchão | Como escolher o colchão
sapatos de caminhada | Um sapato de caminhada
trilha na serra | Trilhas na serra
roupa quente | Roupas quentes
melhor café | Os melhores cafés do Porto
seguro de casa | Seguros de casa
curso de inglês | Os cursos de inglês
aprender inglês | Aprenda inglês: aprender logo inglês
perder peso | Perca peso... perder peso, perder logo peso
cozinhar arroz | Cozinhe arroz em dez minutos.
pintar paredes | Pinte uma parede: pintar a parede
limpar janelas | Limpe as janelas.
barraca de camping | Barracas de camping
montar a barraca | Montar uma barraca
trocar pneu | Troque o pneu, trocar pneus
pneu furado | Dois pneus furados
procurar emprego | Procure emprego perto de casa.
pagar contas | Pague contas em dia, pagar a conta
cachorro ativo | Cachorros ativos
educar cachorro | Educar cachorros
vinho tinto | Os vinhos tintos
criar um site | Crie um site, criando sites
loja online | Lojas online
guia de viagem | Guias de viagem
reduzir gastos | Reduza gastos, reduzir os gastos
`;

/** The same where an editor would not. */
const strangers = `
bolsa impermeável | O bolso, a permissão
porto de Santos | A porta de Santos
caso clínico | A casa clínica
livro infantil | A libra infantil
banco de dados | A banca de dados
ponto de cruz | A ponta da cruz
modo de preparo | A moda do preparo
prato de arroz | A prata e o arroz
mesa de jantar | O mês do jantar
pão sem glúten | Pão com glúten
viagem sem carro | Viagem com carro
trem para Lisboa | Trem desde Lisboa
carta de vinhos | O carro dos vinhos
pau de madeira | O pão de madeira
mão direita | A mãe direita
viagem de bicicleta | A vantagem da bicicleta
consertar bicicletas | O concerto, bicicletas
comprar um carro | Comparar um carro
plantar tomates | A planta. Tomates à venda
receita fácil | Receber, facilidade
casa de madeira | A caixa de madeira
hotel em Lisboa | O hostel em Lisboa
avião barato | A vida barata
coração saudável | A coroa saudável
homem elegante | A hora elegante
jardim pequeno | O jardineiro pequeno
animal doméstico | O ânimo doméstico
papel reciclado | O papo reciclado
sapatos de caminhada | Sapataria, caminhão
roupa quente | A roça quente
curso de inglês | O curioso inglês
perder peso | Perdoar o peso
cozinhar arroz | A cozinha, o arroz
pintar paredes | O pintor, parado
limpar janelas | Limpo e janeiro
barraca de camping | A barra de camping
trocar pneu | O troco, o pneu
procurar emprego | Empregar procuradores
pagar contas | A página de contas
vinho tinto | Vindo tanto
criar um site | Crer em um site
loja online | O logo online
guia de viagem | A guitarra de viagem
reduzir gastos | Reduzir, gostos
trilha na serra | O trilho na terra
lençol branco | O lenço branco
seguro de casa | Seguir a casa
cachorro ativo | O cachorrinho, atividade
conta de luz | O conto da luz
data de entrega | O dado de entrega
`;

export const portuguesePairs = { used, strangers };
