# Makes reference.json: reference values from R's own functions on data sets that R ships.
# Run: Rscript tests/Core/Statistics/reference.R > tests/Core/Statistics/reference.json
num <- function(x) paste0("[", paste(format(x, digits = 17, trim = TRUE, scientific = FALSE), collapse = ","), "]")

# isoreg() fits rising curves, so a falling one is its mirror. Equal weights stand for themselves; whole-number weights
# are checked in the test by repeating rows.
values <- as.numeric(airquality$Wind[1:60])
unweighted <- -isoreg(-values)$yf

orings <- data.frame(temperature = c(66, 70, 69, 68, 67, 72, 73, 70, 57, 63, 70, 78, 67, 53, 67, 75, 70, 81, 76, 79, 75, 76, 58),
                     distress = c(0, 1, 0, 0, 0, 0, 0, 0, 1, 1, 1, 0, 0, 1, 0, 0, 0, 0, 0, 0, 1, 0, 1))
oring <- glm(distress ~ temperature, binomial, orings, control = glm.control(epsilon = 1e-14))
cars <- glm(am ~ wt + hp, binomial, mtcars, control = glm.control(epsilon = 1e-14))
line <- lm(dist ~ speed, datasets::cars)

# Proportional odds: polr() of package MASS (Venables and Ripley, Modern Applied Statistics with S, 4th ed., 7.3). Its slopes enter with a
# minus, ours with a plus. Groups are combinations of features, counts their rows by class.
suppressPackageStartupMessages(library(MASS))
grouped <- function(X, counts) list(X = X, counts = counts)
negative <- function(p, X, counts, lambda) {
  K <- ncol(counts); alpha <- p[1:(K - 1)]; beta <- p[-(1:(K - 1))]
  if (any(diff(alpha) <= 0)) return(1e300)
  eta <- as.vector(X %*% beta)
  F <- cbind(0, sapply(alpha, function(a) plogis(a + eta)), 1)
  -sum(counts * log(F[, -1] - F[, -(K + 1)])) + lambda / 2 * sum(beta^2)
}
slope <- function(p, X, counts, lambda) {
  K <- ncol(counts); alpha <- p[1:(K - 1)]; beta <- p[-(1:(K - 1))]
  eta <- as.vector(X %*% beta)
  F <- cbind(0, sapply(alpha, function(a) plogis(a + eta)), 1); f <- F * (1 - F)
  P <- F[, -1] - F[, -(K + 1)]
  ga <- sapply(1:(K - 1), function(j) -sum(counts[, j] * f[, j + 1] / P[, j]) + sum(counts[, j + 1] * f[, j + 1] / P[, j + 1]))
  ge <- -rowSums(counts * (f[, -1] - f[, -(K + 1)]) / P)
  c(ga, as.vector(t(X) %*% ge) + lambda * beta)
}
penalised <- function(X, counts, lambda, start) {
  for (i in 1:20) start <- optim(start, negative, slope, X = X, counts = counts, lambda = lambda, method = "BFGS", control = list(reltol = 1e-16, maxit = 5000))$par
  start
}
fit <- polr(Sat ~ Infl + Type + Cont, weights = Freq, data = housing, control = list(reltol = 1e-16, maxit = 1000))
first <- housing[housing$Sat == "Low", ]
X <- model.matrix(~ Infl + Type + Cont, first)[, -1]
counts <- matrix(housing$Freq, ncol = 3, byrow = TRUE)
housed <- c(fit$zeta, -coef(fit))
set.seed(7)
R <- cbind(rnorm(40), runif(40, -1, 2))
drawn <- t(sapply(1:40, function(i) { F <- c(plogis(c(-1.5, -.2, 1) + .8 * R[i, 1] - .5 * R[i, 2]), 1); rmultinom(1, 30, diff(c(0, F))) }))
long <- data.frame(y = factor(rep(1:4, each = 40), ordered = TRUE), a = rep(R[, 1], 4), b = rep(R[, 2], 4), n = as.vector(drawn))
random <- polr(y ~ a + b, weights = n, data = long[long$n > 0, ], control = list(reltol = 1e-16, maxit = 1000))
randomly <- c(random$zeta, -coef(random))
rows <- function(m) paste0("[", paste(apply(m, 1, function(r) num(as.vector(r))), collapse = ","), "]")

# polr() with an offset: the same classes as a shift of all thresholds by it.
shifted <- polr(Sat ~ Infl + Type + Cont + offset(rep(.7, nrow(housing))), weights = Freq, data = housing, control = list(reltol = 1e-16, maxit = 1000))
stopifnot(max(abs(fitted(shifted) - fitted(fit))) < 1e-6)

# What three finished items of a kind teach, by integrate() over the shift instead of a grid. Chances of the places 1, 3, 5, 10, 20, 50 and
# 100 or better; a new page by the class of its place now, an existing one by whether it reached its target.
upTo <- c(.01, .04, .08, .2, .34, .6, .8)
new <- function(d, now, classes = 7) { G <- plogis(qlogis(upTo[1:classes]) + d); if (is.na(now)) 1 - G[classes] else diff(c(0, G))[now] }
existing <- function(d, reach, reached) { G <- plogis(qlogis(.35 * reach) + d); if (reached) G else 1 - G }
posterior <- function(likelihood, mean) {
  weight <- function(d) sapply(d, function(one) dnorm(one, mean, .7) * likelihood(one))
  moment <- function(k) integrate(function(d) d^k * weight(d), -4, 4, rel.tol = 1e-10)$value
  m <- moment(1) / moment(0)
  c(m, sqrt(moment(2) / moment(0) - m^2))
}
ofNew <- posterior(function(d) new(d, 4) * new(d, NA) * new(d, 5, 5), .2)
ofExisting <- posterior(function(d) existing(d, upTo[2] / upTo[4], TRUE) * existing(d, upTo[2] / upTo[5], FALSE) * existing(d, upTo[2], FALSE), 0)

cat(sprintf('{"isotonic":{"source":"isoreg(), airquality$Wind[1:60]","values":%s,"fit":%s},', num(values), num(unweighted)))
cat(sprintf('"quantiles":{"source":"quantile(type = 7), faithful$eruptions","values":%s,"shares":[0.1,0.25,0.5,0.75,0.9],"fit":%s},', num(faithful$eruptions), num(quantile(faithful$eruptions, c(.1, .25, .5, .75, .9), type = 7))))
cat(sprintf('"oring":{"source":"glm(binomial), O-ring data of Dalal, Fowlkes and Hoadley 1989","x":%s,"y":%s,"fit":%s},', num(orings$temperature), num(orings$distress), num(coef(oring))))
cat(sprintf('"mtcars":{"source":"glm(binomial), mtcars am ~ wt + hp","x1":%s,"x2":%s,"y":%s,"fit":%s},', num(mtcars$wt), num(mtcars$hp), num(mtcars$am), num(coef(cars))))
cat(sprintf('"line":{"source":"lm(), cars dist ~ speed","x":%s,"y":%s,"fit":%s},', num(datasets::cars$speed), num(datasets::cars$dist), num(coef(line))))
cat(sprintf('"housing":{"source":"polr(Sat ~ Infl + Type + Cont, weights = Freq), MASS housing","x":%s,"counts":%s,"fit":%s,"penalised":%s},', rows(X), rows(counts), num(housed), num(penalised(X, counts, 1, housed))))
cat(sprintf('"grouped":{"source":"polr(y ~ a + b, weights = n), drawn","x":%s,"counts":%s,"fit":%s,"penalised":%s},', rows(R), rows(drawn), num(randomly), num(penalised(R, drawn, 1, randomly))))
cat(sprintf('"shifted":{"source":"polr(… + offset(.7)), MASS housing","shift":0.7,"fit":%s},', num(shifted$zeta)))
cat(sprintf('"effects":{"source":"integrate()","upTo":%s,"new":%s,"existing":%s}}\n', num(upTo), num(ofNew), num(ofExisting)))
