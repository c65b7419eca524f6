<?php

declare(strict_types=1);

use StandIn\WideMarket;

require __DIR__.'/../vendor/autoload.php';

/** Writes a wide market as the files that an analyst would have: php stand-in/market.php KEYWORDS DOMAINS SEED FOLDER */
[, $keywords, $domains, $seed, $folder] = $argv;
$market = new WideMarket((int) $keywords, (int) $domains, (int) $seed);
/**
 * @param list<string>                     $header
 * @param iterable<list<string|int|float>> $rows
 */
$save = static function (string $name, array $header, iterable $rows) use ($folder): void {
    $file = fopen($folder.'/'.$name, 'wb') ?: throw new RuntimeException('The file "'.$name.'" cannot be written.');
    $write = static fn(string $line) => fwrite($file, $line."\n") === false ? throw new RuntimeException('The file "'.$name.'" cannot be written to its end.') : null;
    $write(implode(',', $header));
    foreach ($rows as $row) {
        $write(implode(',', $row));
    }
    fclose($file);
    echo $folder.'/'.$name, "\n";
};
$save('domains.csv', ['domain', 'authority', 'referring domains'], $market->domainRows());
$save('keywords.csv', ['keyword', 'volume', 'difficulty', 'cpc'], $market->keywordRows());
for ($domain = 0; $domain < (int) $domains; ++$domain) {
    $save('rankings-'.WideMarket::host($domain).'.csv', ['keyword', 'position', 'url', 'volume'], $market->rankingRows($domain));
}
