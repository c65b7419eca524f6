<?php

declare(strict_types=1);

namespace StandIn;

/** The words of the made-up market: what people who keep bees search for, by subject. */
final class Vocabulary
{
    /** Subject → weight of demand, months of its peak, and the things people ask for. */
    public const SUBJECTS = [
        'hives' => ['weight' => 1.3, 'peak' => 4, 'swing' => .55, 'things' => ['bee hive', 'national hive', 'langstroth hive', 'top bar hive', 'warre hive', 'cedar hive', 'poly hive', 'nuc box', 'brood box', 'honey super', 'queen excluder', 'crown board', 'hive stand', 'mouse guard', 'hive roof', 'open mesh floor', 'brood frames', 'foundation sheets', 'flat hive kit', 'observation hive', 'long hive', 'entrance block']],
        'suits' => ['weight' => .9, 'peak' => 5, 'swing' => .5, 'things' => ['bee suit', 'beekeeping gloves', 'bee veil', 'beekeeping jacket', 'ventilated bee suit', 'childrens bee suit', 'bee smock', 'beekeeping hat', 'leather gauntlets', 'beekeeping boots', 'fencing veil', 'disposable bee suit']],
        'smokers' => ['weight' => .5, 'peak' => 5, 'swing' => .45, 'things' => ['bee smoker', 'smoker fuel', 'smoker bellows', 'hive tool', 'bee brush', 'frame lifter', 'electric smoker', 'smoker pellets', 'copper smoker', 'uncapping fork']],
        'extraction' => ['weight' => .7, 'peak' => 8, 'swing' => .6, 'things' => ['honey extractor', 'manual honey extractor', 'electric honey extractor', 'uncapping knife', 'uncapping tank', 'honey settling tank', 'honey strainer', 'honey bucket', 'honey press', 'honey gate', 'honey refractometer', 'honey warming cabinet', 'tangential extractor', 'radial extractor']],
        'feeding' => ['weight' => .7, 'peak' => 9, 'swing' => .6, 'things' => ['bee feeder', 'bee fondant', 'sugar syrup for bees', 'pollen patties', 'rapid feeder', 'ashforth feeder', 'frame feeder', 'winter feed for bees', 'invert syrup', 'pollen substitute', 'contact feeder']],
        'queens' => ['weight' => .6, 'peak' => 6, 'swing' => .6, 'things' => ['queen rearing kit', 'queen cage', 'queen marking pen', 'queen cells', 'mated queen bee', 'queen clip', 'mating nuc', 'grafting tool', 'queen cell protector', 'cell starter colony', 'queen catcher', 'buckfast queen', 'virgin queen']],
        'health' => ['weight' => .9, 'peak' => 9, 'swing' => .5, 'things' => ['varroa treatment', 'varroa mite', 'oxalic acid for bees', 'formic acid strips', 'thymol treatment', 'varroa board', 'chalkbrood', 'nosema', 'european foulbrood', 'american foulbrood', 'wax moth', 'small hive beetle', 'oxalic vaporiser', 'drone brood removal', 'sugar roll test', 'deformed wing virus', 'asian hornet trap']],
        'honey' => ['weight' => 1.0, 'peak' => 12, 'swing' => .35, 'things' => ['raw honey', 'honeycomb', 'heather honey', 'set honey', 'honey jars', 'honey labels', 'beeswax', 'beeswax candles', 'beeswax wraps', 'candle moulds', 'honey dipper', 'chunk honey', 'creamed honey', 'mead making kit', 'beeswax polish', 'lip balm tins', 'propolis tincture', 'honey gift set']],
        'courses' => ['weight' => .6, 'peak' => 2, 'swing' => .5, 'things' => ['beekeeping course', 'beekeeping for beginners', 'beekeeping experience day', 'online beekeeping course', 'beekeeping books', 'beekeeping starter kit', 'bee inspection', 'swarm control', 'overwintering bees', 'beekeeping calendar', 'apiary setup', 'urban beekeeping', 'beekeeping gift voucher']],
        'bees' => ['weight' => .8, 'peak' => 4, 'swing' => .75, 'things' => ['honey bees for sale', 'nucleus of bees', 'overwintered nuc', 'package bees', 'swarm of bees', 'buckfast bees', 'native black bees', 'bait hive', 'swarm lure', 'swarm collection', 'colony of bees']],
        'garden' => ['weight' => .9, 'peak' => 5, 'swing' => .6, 'things' => ['plants for bees', 'wildflower seeds', 'bee hotel', 'bee garden', 'lavender for bees', 'solitary bees', 'bumblebee nest', 'mason bees', 'leafcutter bees', 'pollinator plants', 'phacelia seed', 'clover lawn']],
    ];

    /** Pattern → share of the thing's demand, intent, how much harder it is to rank for, cost per click factor. */
    public const PATTERNS = [
        '%s' => [1.0, 'shop', 12, 1.0], 'buy %s' => [.12, 'shop', 8, 1.5], '%s for sale' => [.3, 'shop', 8, 1.4], '%s price' => [.14, 'shop', 5, 1.2],
        'cheap %s' => [.15, 'shop', 6, 1.2], 'best %s' => [.28, 'guide', 9, 1.1], '%s review' => [.09, 'guide', 2, .9], '%s near me' => [.16, 'shop', 4, 1.1],
        'how to use %s' => [.08, 'guide', -4, .2], 'what is %s' => [.12, 'guide', -2, .1], '%s guide' => [.05, 'guide', -4, .3], '%s ideas' => [.06, 'guide', -5, .2],
        '%s for beginners' => [.1, 'guide', -4, .5], 'diy %s' => [.13, 'guide', -5, .2], '%s plans' => [.08, 'guide', -5, .2], '%s kit' => [.14, 'shop', 3, 1.1],
        '%s size' => [.06, 'guide', -7, .2], '%s instructions' => [.04, 'guide', -9, .1], '%s delivery' => [.03, 'shop', -2, 1.2], 'used %s' => [.07, 'shop', -3, .8],
        'small %s' => [.05, 'shop', -3, .8], 'large %s' => [.04, 'shop', -3, .8], 'second hand %s' => [.06, 'shop', -4, .7], '%s discount' => [.03, 'shop', 0, 1.1],
        'why use %s' => [.02, 'guide', -9, .1], 'when to use %s' => [.05, 'guide', -7, .1], '%s tips' => [.03, 'guide', -7, .2], '%s vs alternatives' => [.02, 'guide', -7, .4],
        '%s for small gardens' => [.02, 'guide', -8, .3], 'how to clean %s' => [.04, 'guide', -9, .1], 'how to make %s' => [.12, 'guide', -5, .1], 'how to choose %s' => [.03, 'guide', -7, .3],
        '%s uk' => [.22, 'shop', 5, 1.2], '%s shop' => [.05, 'shop', 3, 1.2], 'wholesale %s' => [.04, 'shop', -2, 1.3], '%s parts' => [.04, 'shop', -6, .8],
        '%s in winter' => [.04, 'guide', -8, .1], '%s in spring' => [.04, 'guide', -8, .1], '%s checklist' => [.02, 'guide', -10, .1], 'top ten %s' => [.02, 'guide', -4, .4],
        '%s storage' => [.03, 'guide', -9, .3], '%s gift' => [.04, 'shop', -5, .9], 'homemade %s' => [.06, 'guide', -8, .2], '%s problems' => [.03, 'guide', -9, .1],
        '%s dimensions' => [.06, 'guide', -8, .2], '%s online' => [.04, 'shop', 2, 1.2], 'heavy duty %s' => [.02, 'shop', -6, .9], 'eco %s' => [.02, 'shop', -7, .6],
    ];
}
