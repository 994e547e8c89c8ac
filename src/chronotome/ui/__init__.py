"""The window."""

import builtins

_usual_import = builtins.__import__
import PySide6.QtCore  # noqa: E402, F401

builtins.__import__ = _usual_import
"""PySide6 reads the source of every module imported after it, to see whether it asks for other names of
methods. None here does: a tenth of the imports' time."""
