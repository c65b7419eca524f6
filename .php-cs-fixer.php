<?php

declare(strict_types=1);

$finder = PhpCsFixer\Finder::create()->in([__DIR__.'/app', __DIR__.'/bootstrap', __DIR__.'/compat', __DIR__.'/config', __DIR__.'/core', __DIR__.'/database', __DIR__.'/routes', __DIR__.'/stand-in', __DIR__.'/tests'])->exclude('cache');

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
