<?php

declare(strict_types=1);

namespace GreaterReach\Core\Site;

/** How much of the web a domain entry stands for. */
enum Scope: string
{
    /** All hosts under the registrable domain. */
    case Registrable = 'registrable';
    /** One host; a leading `www.` is the same host. */
    case Host = 'host';
    /** One host and the paths at or below a segment. */
    case Prefix = 'prefix';
    /** One exact URL. */
    case Page = 'page';
}
