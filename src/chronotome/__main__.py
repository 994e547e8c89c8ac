"""Where the program starts: the command line, or the window."""

import sys
from collections.abc import Sequence

from chronotome import cli


def main(words: Sequence[str] | None = None) -> int:
    arguments = cli.parsed(sys.argv[1:] if words is None else words)
    if arguments.command is None:
        cli.parser().print_help()
        return 2
    if arguments.command not in {"open", "demo", "shot"}:
        return cli.run(arguments)
    from chronotome.ui.application import run  # noqa: PLC0415 - no Qt unless a window or a picture is wanted

    return run(arguments)


if __name__ == "__main__":
    sys.exit(main())
