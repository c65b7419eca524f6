<?php

declare(strict_types=1);

$finder = PhpCsFixer\Finder::create()
    ->in(array_map(
        static fn(string $room): string => __DIR__.'/'.$room,
        ['app', 'bootstrap', 'compat', 'config', 'core', 'database', 'routes', 'stand-in', 'tests'],
    ))
    ->exclude('cache');

return (new PhpCsFixer\Config())
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setParallelConfig(PhpCsFixer\Runner\Parallel\ParallelConfigFactory::detect())
    ->setUnsupportedPhpVersionAllowed(true)
    ->setRiskyAllowed(true)
    ->setRules([
        '@PER-CS2.0' => true,
        '@PHP82Migration' => true,
        'concat_space' => ['spacing' => 'none'],
        'declare_strict_types' => true,
        'no_unused_imports' => true,
        'ordered_imports' => true,
        'strict_comparison' => false,
        'single_line_empty_body' => false,
    ])
    ->setFinder($finder);
