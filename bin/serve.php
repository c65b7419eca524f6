<?php

declare(strict_types=1);

/*
 * What PHP's own web server asks for every request: a file that is there is sent as it is, everything else goes to the
 * application. It writes nothing, so that no full disk can stand in the way of an answer.
 */
$public = __DIR__.'/../public';
$path = rawurldecode((string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH));
if ($path !== '/' && is_file($public.$path)) {
    return false;
}
require $public.'/index.php';
