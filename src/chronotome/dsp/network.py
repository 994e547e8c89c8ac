"""Small networks whose weights ship with the application; `tools/train_….py` made them."""

from dataclasses import dataclass
from functools import cache
from importlib.resources import files
from io import BytesIO

import numpy as np
from numpy.typing import NDArray

Features = NDArray[np.float32]
"""float32, shape (candidates, features)."""
WEIGHTS = "onset-networks.npz"
BEAT_WEIGHTS = "beat-networks.npz"
WIDEST = np.float32(5.0)
"""Standard deviations beyond which a feature is held: nothing unheard of may decide alone."""


@dataclass(frozen=True, eq=False)
class Network:
    """Standardised features through layers with rectifiers between them; the last one is linear.

    Invariants: float32; `weights[k]` has shape (inputs, outputs), `biases[k]` (outputs,).
    """

    mean: NDArray[np.float32]
    scale: NDArray[np.float32]
    weights: tuple[NDArray[np.float32], ...]
    biases: tuple[NDArray[np.float32], ...]

    def __call__(self, features: Features) -> NDArray[np.float32]:
        """Shape (candidates, outputs)."""
        values = np.clip((features - self.mean) / self.scale, -WIDEST, WIDEST)
        for layer, (weights, biases) in enumerate(zip(self.weights, self.biases, strict=True)):
            if layer:
                values = np.maximum(values, 0)
            values = values @ weights + biases
        return values


@cache
def network(name: str) -> Network:
    """The network of that name among those for onsets: `strength`, `timing`, `doubt` or `material`.

    Raises
    ------
    KeyError
        If there is none.
    """
    return _shipped(WEIGHTS, name)


@cache
def beat_networks() -> dict[int, Network]:
    """How likely a folded bar is, by the beats in it."""
    return {beats: _shipped(BEAT_WEIGHTS, f"bar{beats}") for beats in (2, 3, 4, 5, 7)}


def _shipped(file: str, name: str) -> Network:
    data = BytesIO(files("chronotome.assets").joinpath(file).read_bytes())
    with np.load(data) as kept:
        layers = sum(key.startswith(f"{name}.weights") for key in kept)
        return Network(
            kept[f"{name}.mean"].astype(np.float32),
            kept[f"{name}.scale"].astype(np.float32),
            tuple(kept[f"{name}.weights{layer}"].astype(np.float32) for layer in range(layers)),
            tuple(kept[f"{name}.biases{layer}"].astype(np.float32) for layer in range(layers)),
        )
