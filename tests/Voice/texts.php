<?php

declare(strict_types=1);

/**
 * Prints what `npm run voice` reads of the PHP sources, as JSON: every string with a space in it, and the name of every class. Lists of
 * search words, such as those that show an intent, are what searchers write and are left out.
 */
const SEARCH_WORDS = ['core/Rulebook/Settings.php', 'core/Meaning/Noise.php'];

chdir(__DIR__.'/../..');
$texts = $names = [];
foreach (explode("\n", trim((string) shell_exec('git ls-files "app/*.php" "core/*.php" "lang/*.php" "bootstrap/*.php"'))) as $file) {
    if (in_array($file, SEARCH_WORDS, true) || ! is_file($file)) {
        continue;
    }
    $tokens = PhpToken::tokenize((string) file_get_contents($file));
    foreach ($tokens as $place => $token) {
        if (in_array($token->id, [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE], true) && str_contains($token->text, ' ')) {
            $texts[] = ['at' => "{$file}:{$token->line}", 'text' => $token->text];
        }
        if (in_array($token->id, [T_CLASS, T_INTERFACE, T_TRAIT, T_ENUM], true) && ($tokens[$place + 2] ?? null)?->id === T_STRING) {
            $names[] = ['at' => "{$file}:{$token->line}", 'text' => $tokens[$place + 2]->text];
        }
    }
}
echo json_encode(['texts' => $texts, 'names' => $names], JSON_THROW_ON_ERROR);
