"""What a shell completes, made from the parsers: bash and zsh by shtab, fish here, which shtab has not."""

import argparse

from chronotome.cli.manual_page import commands_of


def completions(parser: argparse.ArgumentParser) -> dict[str, str]:
    """Scripts by where they lie in the XDG data folder."""
    import shtab  # noqa: PLC0415 - seldom wanted

    return {
        "bash-completion/completions/chronotome": shtab.complete(parser, "bash"),
        "zsh/site-functions/_chronotome": shtab.complete(parser, "zsh"),
        "fish/vendor_completions.d/chronotome.fish": _fish(parser),
    }


def _quoted(text: str) -> str:
    return "'{}'".format(text.replace("\\", "\\\\").replace("'", "\\'"))


def _fish(parser: argparse.ArgumentParser) -> str:
    commands = commands_of(parser)
    lines = []
    for name, (_, words) in commands.items():
        lines.append(f"complete -c chronotome -n __fish_use_subcommand -a {name} -d {_quoted(words)}")
    for name, (command, _) in {"": (parser, ""), **commands}.items():
        where = _quoted(f"__fish_seen_subcommand_from {name}") if name else "__fish_use_subcommand"
        options = [each for each in command._actions if each.option_strings]  # noqa: SLF001 - the one list there is
        lines += [f"complete -c chronotome -n {where} {_option(each)}" for each in options]
    return "\n".join(lines) + "\n"


def _option(action: argparse.Action) -> str:
    """Its names, what follows it, and what it is for."""
    parts = [
        f"-l {each[2:]}" if each.startswith("--") else f"-s {each[1:]}" for each in action.option_strings
    ]
    if action.nargs != 0:
        parts.append("-r")
    if action.choices:
        parts.append(f"-f -a {_quoted(' '.join(map(str, action.choices)))}")
    if action.help:
        parts.append(f"-d {_quoted(action.help)}")
    return " ".join(parts)
