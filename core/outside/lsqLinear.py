"""Bounded least squares by SciPy's lsq_linear: the sum of squares at its best, one a problem."""
import json
import sys

import numpy as np
from scipy.optimize import lsq_linear

answers = []
for problem in json.load(sys.stdin):
    bounds = (np.array(problem["lower"]), np.array(problem["upper"]))
    found = lsq_linear(np.array(problem["rows"]), np.array(problem["target"]), bounds, tol=1e-14, max_iter=2000)
    answers.append(2 * found.cost)
json.dump(answers, sys.stdout)
