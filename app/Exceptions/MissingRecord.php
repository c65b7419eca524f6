<?php

declare(strict_types=1);

namespace App\Exceptions;

use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What is asked for is not in what the person may see anyhow; the message says why and may be told. */
final class MissingRecord extends NotFoundHttpException
{
}
