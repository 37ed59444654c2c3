import { pairs } from './phrase-pairs.test-data.ts';

/** Texts in which the words of a keyword only happen to stand near each other. */
export const NOT_USED = pairs(`
garlic bread | Rub the garlic on the bread.
garlic bread | Bread goes well with a soup of garlic and beans.
garlic bread | The bread is not garlic.
garlic bread recipe | Garlic bread is in the freezer.
sourdough starter | Starters are free, and sourdough is a main.
sourdough starter | Sourdough is not for starters.
cooking oil | Cooking in oil is quick.
slow cooker beef stew | Slow down. The cooker is off, and beef stew waits.
slow cooker beef stew | A slow day for beef
chocolate chip cookies | Chip the chocolate before the cookies cool.
egg free cake | The egg is free with every cake.
gluten free pancakes | Free pancakes are full of gluten.
gluten free pancakes | Gluten makes pancakes free of cracks.
rice cooker | The cooker has boiled rice.
rice cooker | Rice never sticks to a cooker that is clean.
sugar free jam | Jam with sugar, free with every order
frozen pizza | The pizza was not frozen.
frozen pizza | Frozen peas and a pizza
pizza oven | He sells pizza, ovens and knives.
pizza oven | The pizza leaves the oven.
bread knife | Bread without a knife
bread knife | The knife is for bread only, says nobody. Bread, no knife.
coffee grinder | Coffee and grinders
coffee grinder | Coffee drinkers own no grinder.
tea towel | A towel dries while tea brews.
olive oil soap | Oil, olives and soap
sweet potato | The potato is sweet and the soup is salty.
hot chocolate | The pan is hot, chocolate melts.
black pepper | Pepper the black pudding.
apple pie | Pies contain an apple.
cream cheese | Cheese has cream in it.
fish sauce | Sauce that suits a fish
fruit salad | A salad eats no fruit.
cake stand | Stand the cake on a rack.
butter chicken | Butter the chicken skin.
wedding cake | The cake came after the wedding.
buy to let mortgage rates | Let us buy, says the mortgage bank that rates us.
buy to let mortgage rates | Mortgage rates let you buy.
buy to let | Let them buy a flat.
savings account | Your savings do not account for rent.
savings account | Account for your savings.
credit card | The card gives no credit.
credit card debt | A card game about debt and credit
bank holiday | A bank pays for the holiday.
bank transfer | Transfer of a bank manager to another bank
interest rate | We rate your interest.
interest only mortgage | The mortgage is of interest only to him.
tax free savings | Savings are taxed, not free.
tax return | Return of the tax collector
tax return | The tax will return next year.
pension fund | The fund pays no pension.
loan shark | The shark took a loan.
share price | The price we share with you
share price | Share your thoughts on the price.
stock market | Stock is sold on the market.
stock market | The market has no stock.
petty cash | Cash is petty, he says.
cash flow | Cash does not flow here.
cash back | Back pain costs cash.
balance sheet | A sheet keeps the balance.
money market fund | Fund the market with money.
second hand bike | Hand with the second bike
second hand bike | One hand on the bike every second
life insurance | Insurance changes your life.
health insurance | Insurance is bad for your health.
car loan | A loan is cheaper than a car.
house price index | The index shows a house without a price.
invoice template free | The invoice template is not free.
free invoice template | The template is free of invoices.
budget airline | The airline cut its budget.
cost of living | Living with the cost
save money | Money will not save you.
save money | Money to save lives
first time buyer | The buyer came first this time.
pay day loan | The loan you pay back in a day
flat rate tax | Tax on a flat at a rate
net worth | The net is worth mending.
lower back pain | Back with lower prices, no pain
lower back pain | The pain went back to a lower level.
back pain | The pain is back.
back pain | Back to the pain
blood pressure | Pressure on the blood bank
blood test | The test drew no blood.
flat feet | Feet in a flat
running shoes for flat feet | Flat feet for running shoes
running shoes for flat feet | Running a flat in shoes for the feet
running shoes | Running in shoes hurts.
running shoes | Shoes are running out.
running shoes | He is running and his shoes are wet.
heart rate monitor | Monitor what your heart rates.
weight loss | Loss of interest in weight
weight loss | The loss carries no weight.
sleep apnea | Sleep comes before apnea.
cold sore | A sore throat and a cold
dry skin | Skin the fish and dry it.
skin care | We care about skin.
hair loss | Loss adjusters with hair
food poisoning | Poisoning the food is a crime.
vitamin d | D is a vitamin.
eye test | Test with one eye closed
stress test | The test causes stress.
tooth ache | The ache is not in the tooth.
knee surgery | Surgery without a knee
mental health | Health is not mental.
hearing aid | Aid for hearing the case
diet plan | Plan to diet
patient care | Be patient and care.
allergy test | Test whether the allergy is gone.
sick leave | Leave the sick alone.
first aid kit | The kit came first, aid later.
small claims court | The court claims a small victory.
small claims court | Small court, big claims
employment contract | Contract an illness in employment.
employment contract | Employment ends, the contract stays.
notice period | Period drama, no notice
notice period | Notice the period at the end.
legal advice | Advice is not legal here.
legal advice | It is legal to give advice.
power of attorney | The attorney has power.
power of attorney | Attorney of power
patent law | Law is patent nonsense.
unfair dismissal | Dismissal was not unfair.
unfair dismissal | Unfair to speak of dismissal
speeding ticket | The ticket office is speeding up.
parking fine | Parking is fine.
parking fine | A fine car is parking.
will writing | Writing will help.
will writing | She will be writing.
case law | The law makes a case.
case law | In case the law changes
trade mark | Trade with Mark
trade mark | Mark the trade down.
court order | Order in court
house arrest | Arrest at the house
bail bond | Bond on bail
civil partnership | A partnership that is civil
child support | Support a child
criminal record | Record a criminal on film.
data breach | Breach of contract over data
landlord tenant act | The landlord and tenant act fast.
free legal aid | Aid is legal and not free.
word to pdf | PDF to Word
word to pdf | From PDF, a Word file
word to pdf | A word about PDF
open source | Open the source file
open source | The source is open.
pdf editor | An editor hates PDF.
project management | Management killed the project.
project management | Project costs upset management.
unit test | Test each unit
unit test | The unit failed a test.
screen reader | The reader looks at the screen.
screen recording | Recording without a screen
cloud storage | Storage under a cloud
hard drive | The drive is hard.
hard drive | Drive hard through the night.
dark mode | The mode is not dark.
password manager | The manager forgot a password.
password manager | A manager without a password
web server | The server is no web.
data science | Science needs data.
machine learning | Learning a machine
machine learning | The machine is learning.
operating system | Operating the system
time tracking | Tracking takes time.
version control | Control your version
bug fix | Fix no bug today.
source code | Code of the source river
code review | Review the code
file sharing | Sharing is not a file.
spam filter | Filter coffee, not spam
load balancer | The balancer sheds load.
universe map | A university map
new website | News website
general settings | Generate settings
organ donor | Organize donors
training data | Training without data
data entry | Entry to the data centre
search engine | The engine failed in the search.
access control | Access is under control.
chat bot | A bot that does not chat
new york hotel | York has a new hotel.
new york hotel | A new hotel in York
new york | York is new to us.
travel insurance | Travel is cheap, insurance is not.
travel insurance | Insurance agents travel.
road trip | The trip is off the road.
road trip | Trip over a road
flights to rome | Flights from Rome
flights from paris | Flights to Paris
train ticket | Train the ticket inspector.
ticket to ride | Ride to the ticket office
boat hire | Hire a man with a boat.
car hire | Hire needs no car.
beach hut | The hut is not on the beach.
beach hut | A hut far from any beach
camp site | The site of a camp follower
camp fire | Fire the camp manager.
city break | Break into the city
city break | The city has no break.
package holiday | The package came on holiday.
hand luggage | Luggage in one hand
hand luggage | Hand in your luggage.
last minute flights | Flights last a minute.
last minute flights | The last flight left a minute ago.
ferry crossing | Crossing Europe without a ferry
room service | Service the room heater.
guest house | The house has no guest.
dog training collar | Training a dog without a collar
dog training collar | A dog in training wears no collar
dog training | The dog sleeps during training.
dog collar | The dog wears a collar.
dog collar | A dog without a collar
dog friendly | The dog is friendly.
winter tyres | Winter comes, tyres wear.
winter tyres | Tyres fail in winter because rubber hardens.
fence paint | Paint without a fence
house plants | Plants cover the house.
hedge trimmer | A trimmer hedge would cost less.
content strategy | Strategy makes her content.
content calendar | The calendar has no content.
email marketing | Marketing hates email.
email marketing | The marketing team wrote an email.
landing page | The page about landing gear
link building | Link to the building
link building | The building is no link.
blog traffic | Traffic jams on a blog
brand voice | Voice of the brand manager
cold call | Call when it is cold.
yoga mat | The mat is too short for yoga.
football boots | Boots the football away
half marathon | Half of the marathon runners
tent without poles | A tent with poles
touring bike | The bike is touring.
`);
