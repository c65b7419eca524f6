<?php

declare(strict_types=1);

use StandIn\CsvFile;
use StandIn\WideMarket;

require __DIR__.'/../vendor/autoload.php';

/*
 * Writes a wide market as the files that an analyst would have, and prints them:
 * php stand-in/market.php KEYWORDS DOMAINS SEED FOLDER
 */
[$keywords, $domains, $seed, $folder] = array_slice($argv, 1);
$market = new WideMarket((int) $keywords, (int) $domains, (int) $seed);
CsvFile::write($folder.'/domains.csv', ['domain', 'authority', 'referring domains'], $market->domainRows());
CsvFile::write($folder.'/keywords.csv', ['keyword', 'volume', 'difficulty', 'cpc'], $market->keywordRows());
for ($domain = 0; $domain < (int) $domains; ++$domain) {
    CsvFile::write(
        $folder.'/rankings-'.WideMarket::host($domain).'.csv',
        ['keyword', 'position', 'url', 'volume'],
        $market->rankingRows($domain),
    );
}
echo implode("\n", glob($folder.'/*.csv') ?: []), "\n";
