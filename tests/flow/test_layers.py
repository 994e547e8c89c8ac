"""What the import contracts in `pyproject.toml` cannot say."""

import ast
from pathlib import Path

import chronotome

ROOT = Path(chronotome.__file__).parent
MODULES = {
    ".".join(path.relative_to(ROOT.parent).with_suffix("").parts).removesuffix(".__init__"): path
    for path in ROOT.rglob("*.py")
}


def imported(path):
    """Modules of ours that a file names anywhere: at once, late, or for types alone."""
    found = set()
    for node in ast.walk(ast.parse(path.read_text("utf-8"))):
        if isinstance(node, ast.ImportFrom) and node.module:
            named = (f"{node.module}.{each.name}" for each in node.names)
            found |= {name if name in MODULES else node.module for name in named}
        elif isinstance(node, ast.Import):
            found |= {each.name for each in node.names}
    return found


def test_no_module_comes_back_to_itself_however_late_it_imports():
    left = {name: imported(path) & set(MODULES) for name, path in MODULES.items()}
    while True:
        free = {name for name, needs in left.items() if not needs & set(left)}
        left = {name: needs for name, needs in left.items() if name not in free}
        if not free:
            break

    assert len(MODULES) > 400
    assert sorted(left) == []


def test_commands_know_no_widget():
    commands = [path for name, path in MODULES.items() if name.startswith("chronotome.ui.commands.")]

    assert len(commands) > 20
    assert [path.name for path in commands if "QtWidgets" in path.read_text("utf-8")] == []
