/**
 * Keywords and texts of many trades, judged by hand before the matcher was tried on them: in which an editor would say
 * that the phrase is used, however turned, and in which not. One pair a line: `keyword | text`.
 */
export const pairs = (lines: string): [keyword: string, text: string][] =>
  lines
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((part) => part.trim()) as [string, string]);

export const USED = pairs(`
sourdough starter | A sourdough starter wants feeding twice a day.
sourdough starter | How sourdough starters rise in a cold kitchen
sourdough starter | A starter for sourdough is flour, water and time.
garlic bread | Garlic breads of three kinds
garlic bread recipe | This recipe for garlic bread takes half an hour.
slow cooker beef stew | Our slow-cooker beef stew feeds six.
slow cooker beef stew | A beef stew for the slow cooker
chocolate chip cookies | Chewy chocolate-chip cookies without eggs
chocolate chip cookies | The best chocolate chip cookie you will bake
chocolate chip cookies | Cookies with chocolate chips keep for a week.
how to poach an egg | How to poach eggs in a pan
how to poach an egg | How to poach your first egg
bake sourdough bread | We are baking sourdough bread on Sunday.
bake sourdough bread | She bakes sourdough bread for the market.
bake sourdough bread | Bake your own sourdough bread
gluten free pancakes | Gluten-free pancakes for a crowd
gluten free pancakes | Pancakes, gluten free: try these gluten-free pancakes.
recipes for beginners | Ten recipes for absolute beginners
vegan dinner ideas | Ideas for vegan dinners on a weeknight
vegan dinner ideas | Twelve vegan weeknight dinner ideas
cast iron skillet | Season a cast-iron skillet in four steps.
cast iron skillet | Our cast iron skillets are ten years old.
meal prep containers | Containers for meal prep, tested
leftover rice | What leftover cooked rice is good for
knife sharpening | Sharpening a knife is easy; knife sharpening pays.
flavour of saffron | The flavor of saffron is floral.
caramelised onions | Caramelized onions take forty minutes.
litre of milk | One liter of milk makes a small cheese.
potato salad dressing | A dressing for potato salad
raise bread dough | Raising bread dough in the fridge
preserve tomatoes | Preserving ripe tomatoes at home
cake decorating ideas | Ideas for cake decorating
pizza oven | The pizza ovens that fit a balcony
wine pairing | A pairing of wine and cheese: our wine-pairing rules
freeze soup | Freezing the soup keeps it for months.
herb garden | Plant a small herb garden by the door.
buy to let mortgage rates | Rates on buy to let mortgages fell in May.
buy to let mortgage rates | Current buy-to-let mortgage rates
buy to let mortgage rates | What a buy to let mortgage rate depends on
mortgage rates | The rate of a mortgage follows the central bank; mortgage rates move daily.
savings account | Opening savings accounts online
best savings account | Which is the best instant savings account?
credit card debt | Paying off credit-card debt
credit card debt | How debt on credit cards grows
pay off debt | She paid off her debt in two years.
pay off debt | Paying off old debt first
index fund fees | The fees of index funds are low.
index fund fees | Index-fund fees explained
tax return deadline | The deadline for tax returns is in January.
tax return deadline | When are the tax return deadlines?
retirement planning | Retirement planning: a first step
pension calculator | Use our free pension calculators.
how to save money | How to save more money each month
how to save money | How you save money without noticing: saving money by habit
save money | Saving some money every week
money saving tips | Money-saving tips for students
money saving tips | Tips on saving money
cost of living | The cost of living rose again.
loft conversion cost | What does it cost? The cost of loft conversions
loft conversion cost | Loft conversion costs by region
car insurance quotes | Quotes for car insurance in minutes
car insurance quotes | Get a car insurance quote today.
second hand bike | A second-hand bike saves half the price.
second hand bike | Buying second hand bikes online
credit check | A soft credit check leaves no trace.
budget spreadsheet | A spreadsheet for your budget, or a budget spreadsheet
first time buyer | Help for first-time buyers
organise receipts | Organizing receipts before the audit
invoice template | Free invoice templates for sole traders
invoice template free | An invoice template, free: your invoice template free of charge
cheque book | Order a new cheque book by phone.
small business loan | Loans for small businesses are slow.
small business loan | A small-business loan in three days
noise reduction | Reduction of noise at work
reduce noise | Noises reduced by half; how to reduce noise
symptoms of anaemia | The symptoms of anemia come slowly.
iron deficiency symptoms | Symptoms of iron deficiency
iron deficiency symptoms | Common iron-deficiency symptoms
lower back pain | Pain in the lower back after sitting: lower back pain
lower back pain exercises | Exercises for lower back pain
back pain exercises | Five exercises against back pain are the back pain exercises we like.
running shoes for flat feet | Shoes for running with flat feet
running shoes for flat feet | The best running shoes for very flat feet
running shoes for flat feet | A running shoe for flat feet
shoes for flat feet | Flat feet shoes with a firm heel
sleep hygiene | Better sleep hygiene for shift workers
blood pressure chart | A chart of blood pressures by age
blood pressure chart | Print this blood-pressure chart.
vitamin d | Vitamin D in winter
healthy breakfast | Healthy breakfasts in ten minutes
healthy breakfast ideas | Ideas for a breakfast: healthy breakfast ideas
lose weight | Losing a little weight each month
lose weight | She lost weight slowly.
quit smoking | Quitting smoking for good
quit smoking tips | Tips for quitting smoking
stretching routine | A stretching routine of ten minutes
knee surgery recovery | Recovery from knee surgery takes weeks.
allergy test | At-home allergy tests compared
child's fever | A child’s fever at night
colour blind friendly | A color-blind-friendly palette
crisis plan | Write crisis plans before you need them.
diagnosis of asthma | Diagnoses of asthma are rising.
physiotherapy clinic | A clinic for physiotherapy
mental health at work | Mental health at your work
mental health apps | Apps for mental health
teeth whitening | Whitening of teeth at home
baby sleep schedule | A sleep schedule for babies
baby sleep schedule | Baby sleep schedules by month
skin care routine | A skincare routine that is short
skincare routine | The skin care routine of a nurse
employment contract template | A template for employment contracts
employment contract | Employment contracts must say it in writing.
notice period | The notice period ends in June.
notice period | Periods of notice differ.
will writing service | Will-writing services compared
tenancy deposit | Getting a tenancy deposit back
tenancy deposit scheme | Schemes for tenancy deposits
small claims court | The small-claims court is cheap.
small claims court fees | Fees of the small claims court
unfair dismissal claim | Claims for unfair dismissal
copyright licence | A copyright license for pictures
trade mark | Register a trademark yourself.
trademark | Register a trade mark yourself.
privacy policy | Privacy policies in plain words
privacy policy template | A template for privacy policies
power of attorney | Lasting powers of attorney
divorce lawyer | Divorce lawyers near you
data protection officer | Appointing a data-protection officer
terms and conditions | Our terms and conditions changed.
legal defence | A legal defense costs money.
parking fine appeal | An appeal against parking fines; the parking fine appeal
landlord responsibilities | The responsibilities of landlords
word to pdf | Convert Word into PDF.
word to pdf | A Word-to-PDF converter
pdf editor | PDF editors for teams
project management software | Software for project management
project management software | Project-management software compared
unit test | Writing unit tests first
unit testing | Unit tests and unit testing
database backup | Backups of databases every night
database backup | Database backups that restore
how to back up a database | How to back up your database
back up | Make a backup tonight.
set up email | Setting up an email account; set up email on a phone
e-commerce website | Ecommerce websites that load fast
ecommerce platform | Which e-commerce platform scales?
open source crm | Open-source CRM for small teams
api documentation | Documentation of an API: API documentation
api documentation | Documentation for APIs
password manager | Password managers for families
regular expression tester | A tester for regular expressions
convert video | Converting a long video
screen recording software | Software for screen recording
website speed test | A speed test for websites
analyse log files | Analyzing log files with awk
analyse data | How to analyze your data
data analysis | Data analyses for small shops
visualise data | Visualizing data in a browser
web hosting | Cheap web hosting compared
log in | The login failed; log in again.
cloud storage pricing | Pricing of cloud storage
keyboard shortcuts | A keyboard shortcut for every menu
create movie | Creating movies on a phone
online meeting | Online meetings that end on time
dark mode | Dark mode for your site
customise theme | Customized themes; customising the theme
things to do in lisbon | Ten things to do in Lisbon
things to do lisbon | Things to do in Lisbon
hotels london | Hotels in London for families
hotels london | London hotels by the river
hotels london | The best hotels near London
camping wales | Wild camping in Wales
travel insurance | Travel insurances compared
travel insurance for seniors | Travel insurance for active seniors
carry on luggage | Carry-on luggage that fits
carry on luggage size | The size of carry-on luggage
cheap flights to rome | Cheap flights to Rome in May
cheap flights to rome | Cheap return flights to Rome
flights from paris | Flights from Paris every hour
new york hotel | A New York hotel with a view
new york hotel | Hotels in New York
road trip playlist | A playlist for road trips
road trip | Road-trip food that keeps
travelling with kids | Traveling with small kids
train travel | Travel by train: train travel in winter
packing list | A packing list for spring
bike tour packing list | The packing list for a bike tour
bike tour | A tour by bike along the coast
cycle route map | A map of cycle routes
winter tyres | Winter tires from November on
best winter tyres | The best new winter tyres
family holiday | Family holidays by the sea
family holiday ideas | Ideas for family holidays
beach in spain | Beaches in Spain without crowds
visa application | Applications for a visa: the visa application
pet friendly cottage | Pet-friendly cottages with gardens
grey paint | Gray paint in a north-facing room
paint colours | The paint colors of the year
neighbourhood watch | A neighborhood watch scheme
dog training collar | Training collars for dogs
dog training collar | A collar for dog training
dog training | Training your dog at home; dog training
train a dog | Training dogs without shouting
train dog | How to train your dog
puppy food | Foods for a puppy: puppy food by age
garden fence ideas | Ideas for garden fences
prune roses | Pruning your old roses
pruning roses | When to prune roses
lawn mower repair | Repair of a lawn mower, or lawnmower repair
lawn mower | A cordless lawnmower
house plants | Houseplants that forgive
kitchen renovation cost | The cost of a kitchen renovation
kitchen renovation | Renovating a kitchen is dusty; kitchen renovations
email marketing | Email-marketing basics
content calendar template | A template for a content calendar
content calendar | Content calendars that hold
blog post ideas | Ideas for blog posts
write a blog post | Writing your first blog post
keyword research | Research on keywords: keyword research
social media strategy | A strategy for social media
social media strategy | Social-media strategies
shoe size | Shoe sizes in Europe
movie night | Movie nights at home
cycling tips | Tips for cycling in rain
half marathon training plan | A training plan for a half marathon
half marathon training plan | Half-marathon training plans
marathon training | Training for a marathon
yoga mat | Yoga mats that grip
football boots for kids | Kids football boots
gifts for dads | Gifts for busy dads
`);
