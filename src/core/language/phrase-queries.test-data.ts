import { pairs } from './phrase-pairs.test-data.ts';

/**
 * Queries as people type them, without articles and small words, with what a careful writer makes of them; judged by hand
 * before the matcher was tried on them.
 */
export const TYPED = pairs(`
rent touring bike | Rent a touring bike for a week.
cleaning bike chain | Cleaning a bike chain takes ten minutes.
fix flat tyre | How to fix a flat tyre by the road
clean oven glass door | Clean the oven glass door with soda.
change duvet cover | Changing a duvet cover alone
open savings account | Opening a savings account takes a day.
open joint bank account | Open a joint bank account in an hour.
write cover letter | How to write a good cover letter
write business plan | Writing your business plan in a weekend
train labrador puppy | Training a labrador puppy
build raised garden bed | We built a raised garden bed from old boards.
install ceiling fan | How to install your ceiling fan
replace kitchen tap | Replacing the kitchen tap without a plumber
descale coffee machine | Descale the coffee machine every month.
cook brown rice | Cooking the brown rice takes half an hour.
sharpen kitchen knife | Sharpen a kitchen knife on a wet stone.
paint bathroom ceiling | Paint the bathroom ceiling first.
calculate gross profit margin | Calculate your gross profit margin by product.
claim tax refund | Claiming a tax refund online
choose running shoes | Choosing your running shoes by the hour of day
pack carry on bag | Pack a carry-on bag in ten minutes.
restore deleted file | Restoring a deleted file from the bin
set up home office | Setting up a home office for two
make almond milk | Make your almond milk at home.
plan garden wedding | Planning a garden wedding in spring
grow cherry tomatoes | Grow the cherry tomatoes in pots.
remove red wine stain | Removing a red wine stain from wool
refinance car loan | Refinancing a car loan before the year ends
treat mild sunburn | How to treat a mild sunburn
make paper plane | Make a paper plane that flies.
`);

export const TYPED_STRANGERS = pairs(`
rent touring bike | Rent a touring tent and bring your bike.
cleaning bike chain | Cleaning the bike before the chain breaks
fix flat tyre | Fix the flat, then buy a tyre.
open savings account | Open the drawer: savings, account books, cards.
write cover letter | Write on the cover, not in the letter.
butter chicken | Butter the chicken skin before roasting.
train labrador puppy | The train was full when the labrador and the puppy got on.
replace kitchen tap | Replace the kitchen lamp and tap on the wall.
cook brown rice | The cook wore a brown apron; rice was served.
paint bathroom ceiling | Paint the bathroom, not the ceiling.
claim tax refund | They claim the tax is high and refund nothing.
pack carry on bag | Pack it and carry on; the bag can wait.
restore deleted file | Restore order: what was deleted is no file.
make almond milk | Make the almond cake with milk.
plan garden wedding | The plan of the garden hung at the wedding.
remove red wine stain | Remove the red bottle; wine left a stain.
make paper plane | Make the paper, then plane the wood.
choose running shoes | Choose between running and new shoes.
grow cherry tomatoes | Grow a cherry beside tomatoes.
refinance car loan | Refinance the house and sell the car; a loan follows.
`);
