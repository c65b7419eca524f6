<?php

declare(strict_types=1);

use StandIn\WideMarket;

require __DIR__.'/../vendor/autoload.php';

/** Writes a wide market as the files that an analyst would have: php stand-in/market.php KEYWORDS DOMAINS SEED FOLDER */
[, $keywords, $domains, $seed, $folder] = $argv;
$market = new WideMarket((int) $keywords, (int) $domains, (int) $seed);
$save = static function (string $name, array $header, iterable $rows) use ($folder): void {
    $file = fopen($folder.'/'.$name, 'wb') ?: throw new RuntimeException('The file "'.$name.'" cannot be written.');
    fwrite($file, implode(',', $header)."\n");
    foreach ($rows as $row) {
        if (fwrite($file, implode(',', $row)."\n") === false) {
            throw new RuntimeException('The file "'.$name.'" cannot be written to its end.');
        }
    }
    fclose($file);
    echo $folder.'/'.$name, "\n";
};
$save('domains.csv', ['domain', 'authority', 'referring domains'], $market->domainRows());
$save('keywords.csv', ['keyword', 'volume', 'difficulty', 'cpc'], $market->keywordRows());
for ($domain = 0; $domain < (int) $domains; ++$domain) {
    $save('rankings-'.WideMarket::host($domain).'.csv', ['keyword', 'position', 'url', 'volume'], $market->rankingRows($domain));
}
